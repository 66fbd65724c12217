import { endsOf, jointsOf, type Rig } from '../rig';

/** A part in the order in which the lead is followed by hand. `joint` leads to it from the rung it hangs on. */
export interface Rung {
  readonly placed: string;
  readonly depth: number;
  readonly joint?: string;
  readonly from?: string;
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

/** The rungs: the chain of the first source, then what branches off below each part, then what hangs on nothing. */
export function ladder(rig: Rig): Rung[] {
  const known = rig.parts.map((p) => p.id);
  const start = rig.purpose.sources.find((id) => known.includes(id)) ?? known[0];
  if (start === undefined) return [];
  const spine = chain(rig, start, rig.purpose.recorders[0]);
  const seen = new Set(spine);
  const rungs: Rung[] = [];
  const joined = (a: string, b: string) =>
    jointsOf(rig, a).find((joint) => endsOf(joint, a)?.far.part === b)?.id;
  const branch = (id: string, depth: number) => {
    for (const joint of jointsOf(rig, id)) {
      const far = endsOf(joint, id)?.far.part;
      if (far === undefined || seen.has(far)) continue;
      seen.add(far);
      rungs.push({ placed: far, depth, joint: joint.id, from: id });
      branch(far, depth + 1);
    }
  };
  for (const [index, id] of spine.entries()) {
    const from = spine[index - 1];
    const joint = from === undefined ? undefined : joined(from, id);
    rungs.push({ placed: id, depth: 0, ...(joint !== undefined && { joint, from }) });
    branch(id, 1);
  }
  for (const id of known) {
    if (seen.has(id)) continue;
    seen.add(id);
    rungs.push({ placed: id, depth: 0 });
    branch(id, 1);
  }
  return rungs;
}
