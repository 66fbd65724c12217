import { isSupply } from '../parts';
import { endsOf, isSource, jointsOf, laidParts, type LaidPart, type Rig } from '../rig';

/** Why a branch hangs beside the chain: it feeds it, a further source joins it, somebody listens, another one records. */
export type Lane = 'supply' | 'joins' | 'monitoring' | 'records' | 'beside';

/** A part in the order in which the lead is followed by hand. `joint` leads to it from the rung it hangs on. */
export interface Rung {
  readonly placed: string;
  readonly depth: number;
  readonly joint?: string;
  readonly from?: string;
  /** Of a branch, at its first rung and all below it. */
  readonly lane?: Lane;
  /** Further joints that lead from here to rungs above: a loop, or a pair of leads. */
  readonly also?: readonly string[];
}

/** The shortest chain of parts from a source to a recorder, both included; just the source if there is none. */
function chain(rig: Rig, source: string, recorder: string | undefined): string[] {
  const came = new Map<string, string | undefined>([[source, undefined]]);
  for (const id of came.keys()) {
    for (const joint of jointsOf(rig, id)) {
      const far = endsOf(joint, id)?.far.part;
      if (far !== undefined && !came.has(far)) came.set(far, id);
    }
  }
  if (recorder === undefined || !came.has(recorder)) return [source];
  const path: string[] = [];
  for (let at: string | undefined = recorder; at !== undefined; at = came.get(at)) path.unshift(at);
  return path;
}

/** The parts from each of these to the next, along the leads: a way that is known by its stages, with what lies between. */
export const wayThrough = (rig: Rig, stops: readonly string[]): string[] =>
  stops.reduce<string[]>((way, stop) => {
    const last = way.at(-1);
    if (last === undefined) return [stop];
    return last === stop ? way : [...way, ...chain(rig, last, stop).slice(1)];
  }, []);

/** What a branch is for, by the parts in it. */
function laneOf(rig: Rig, laid: ReadonlyMap<string, LaidPart>, members: readonly string[]): Lane {
  const parts = members.flatMap((id) => laid.get(id)?.part ?? []);
  if (members.some((id) => rig.purpose.recorders.includes(id))) return 'records';
  if (members.some((id) => rig.purpose.sources.includes(id))) return 'joins';
  if (parts.some((part) => part.ears)) return 'monitoring';
  if (parts.some(isSupply)) return 'supply';
  return parts.some(isSource) ? 'joins' : 'beside';
}

/** The rungs: the chain of the first source, then what branches off below each part, then what hangs on nothing. */
export function ladder(rig: Rig): Rung[] {
  const known = rig.parts.map((p) => p.id);
  const laid = new Map(laidParts(rig).map((l) => [l.placed.id, l]));
  const start = rig.purpose.sources.find((id) => known.includes(id)) ?? known[0];
  if (start === undefined) return [];
  const spine = chain(rig, start, rig.purpose.recorders[0]);
  const seen = new Set(spine);
  const drawn = new Set<string>();
  const rungs: Rung[] = [];
  const joined = (a: string, b: string) =>
    jointsOf(rig, a).find((joint) => endsOf(joint, a)?.far.part === b)?.id;
  const push = (rung: Rung) => {
    if (rung.joint !== undefined) drawn.add(rung.joint);
    rungs.push(rung);
  };
  const branch = (id: string, depth: number, lane?: Lane) => {
    for (const joint of jointsOf(rig, id)) {
      const far = endsOf(joint, id)?.far.part;
      if (far === undefined || seen.has(far)) continue;
      seen.add(far);
      const at = rungs.length;
      push({ placed: far, depth, joint: joint.id, from: id, ...(lane && { lane }) });
      branch(far, depth + 1, lane);
      if (lane) continue;
      const members = rungs.slice(at).map((rung) => rung.placed);
      const found = laneOf(rig, laid, members);
      for (let i = at; i < rungs.length; i += 1) {
        const rung = rungs[i];
        if (rung) rungs[i] = { ...rung, lane: found };
      }
    }
  };
  for (const [index, id] of spine.entries()) {
    const from = spine[index - 1];
    const joint = from === undefined ? undefined : joined(from, id);
    push({ placed: id, depth: 0, ...(joint !== undefined && { joint, from }) });
    branch(id, 1);
  }
  for (const id of known) {
    if (seen.has(id)) continue;
    seen.add(id);
    push({ placed: id, depth: 0 });
    branch(id, 1);
  }
  return withLoops(rig, rungs, drawn);
}

/** Hangs each joint that no rung came by on the lower of its two rungs. */
function withLoops(rig: Rig, rungs: readonly Rung[], drawn: ReadonlySet<string>): Rung[] {
  const place = new Map(rungs.map((rung, index) => [rung.placed, index]));
  const also = new Map<number, string[]>();
  for (const joint of rig.joints) {
    if (drawn.has(joint.id)) continue;
    const at = Math.max(place.get(joint.plug.part) ?? -1, place.get(joint.jack.part) ?? -1);
    also.set(at, [...(also.get(at) ?? []), joint.id]);
  }
  return rungs.map((rung, index) => {
    const joints = also.get(index);
    return joints ? { ...rung, also: joints } : rung;
  });
}
