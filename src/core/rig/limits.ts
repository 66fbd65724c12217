import type { Rig } from './types.generated';

/** The most that a rig file holds of anything; its schema says the same (a test holds them together). */
export const LIMITS = {
  id: 64,
  name: 120,
  note: 4000,
  parts: 200,
  joints: 400,
  intended: 50,
  policies: 200,
  /** Metres. */
  shortestDistance: 0.01,
  longestDistance: 100,
  longestLead: 500,
  /** Letters of a strip's or outlet's name. */
  place: 60,
  people: 50,
  /** Letters of a person's name. */
  person: 60,
  /** Places that are said of a person. */
  stands: 100,
  /** Metres from a loudspeaker to a microphone, or from a person to either. */
  farthest: 200,
  /** Cubic metres, and seconds. */
  largestRoom: 1_000_000,
  longestReverberation: 20,
  /** Minutes. */
  longestSession: 2880,
} as const;

/** The first of "stem", "stem-2", "stem-3" … that is not taken; the stem is shortened where an id would grow too long. */
export function freshId(stem: string, taken: ReadonlySet<string>): string {
  let id = stem;
  for (let n = 2; taken.has(id); n += 1) {
    const end = `-${n}`;
    id = stem.slice(0, LIMITS.id - end.length).replace(/-+$/, '') + end;
  }
  return id;
}

const COPY = ', copy';

/** The name of a copy, no longer than a name may be. */
export const copyName = (name: string): string => name.slice(0, LIMITS.name - COPY.length) + COPY;

/** What a rig has more of than its file may hold; undefined where it fits. */
export function excessOf(rig: Rig): string | undefined {
  const counts = [
    ['parts', rig.parts.length, LIMITS.parts],
    ['joints', rig.joints.length, LIMITS.joints],
    ['sources', rig.purpose.sources.length, LIMITS.intended],
    ['recorders', rig.purpose.recorders.length, LIMITS.intended],
    ['people', rig.surroundings.people?.length ?? 0, LIMITS.people],
  ] as const;
  const over = counts.find(([, count, most]) => count > most);
  return over && `A rig has at most ${over[2]} ${over[0]}.`;
}
