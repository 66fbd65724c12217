import { appOf } from '../engine/flow';
import { nodeKey } from '../engine/circuit';
import { recordedWays, type RecordedWay } from '../engine/levels';
import type { Facts } from '../engine';
import type { GainPath, Part } from '../parts';
import { check, type Found } from './check';
import { SENDS } from './origins';

/** A knob that goes down to here is one that shuts a path: a fader or a send; a gain stops far above. Our own, dB. */
const SHUTS_AT = -40;

/** The knobs of a path by which it can be shut. */
const shuttersOf = (part: Part, path: GainPath): string[] =>
  path.gain.flatMap((quantity) => {
    if (typeof quantity !== 'object' || !('knob' in quantity)) return [];
    const setting = part.settings?.find(({ id }) => id === quantity.knob);
    return setting?.kind === 'knob' && setting.from <= SHUTS_AT ? [setting.id] : [];
  });

const known = new WeakMap<Part, readonly GainPath[]>();

/** The sends of a part that follow a fader; a part is looked at once. */
function followers(part: Part): readonly GainPath[] {
  const found = known.get(part) ?? findFollowers(part);
  known.set(part, found);
  return found;
}

/** A send with a knob of its own that goes through a fader of another path as well: pull that, and it goes too. */
function findFollowers(part: Part): GainPath[] {
  const paths = part.paths ?? [];
  const shutters = new Map(paths.map((path) => [path, shuttersOf(part, path)]));
  return paths.filter((path) => {
    const own = shutters.get(path) ?? [];
    const beside = paths.filter(
      (other) => other.from === path.from && (shutters.get(other) ?? []).join() !== own.join(),
    );
    const shared = (knob: string) => beside.some((other) => shutters.get(other)?.includes(knob));
    return own.some(shared) && own.some((knob) => !shared(knob));
  });
}

/** The part by whose send, after the faders, most of a source comes to what records it. */
function byFollower(facts: Facts, { chain }: RecordedWay): string | undefined {
  const stage = chain.stages.find(({ placed, path }) => {
    const part = path && facts.laid.get(placed)?.part;
    const key = (node: string) => nodeKey(placed, node);
    return part && followers(part).some(({ from, to }) => key(from) === path.from && key(to) === path.to);
  });
  return stage?.placed;
}

/** A caller hears by a send after the faders: who pulls one takes the voice from the caller as well. */
export const sendFollowsFader = check({
  code: 'send-follows-fader',
  means:
    'The caller is fed from a send that comes after the faders: a fader pulled for the stream takes that voice from the caller, too.',
  severity: ['note'],
  origin: SENDS,
  limit: 'A send ahead of the faders where there is one (common practice).',
  aspect: 'returns',
  cures: ['plug'],
  find: (facts) => {
    const told = new Set<string>();
    return recordedWays(facts).flatMap((way): Found[] => {
      const { source, recorder } = way;
      const host = facts.laid.get(recorder);
      if (told.has(recorder) || !host || !appOf(host)?.farEnd) return [];
      const mixer = byFollower(facts, way);
      if (mixer === undefined) return [];
      told.add(recorder);
      return [{ where: { part: mixer }, source, recorder, other: mixer, values: [] }];
    });
  },
});
