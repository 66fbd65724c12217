import { checkOf, type Finding } from '../../checks';
import type { Facts } from '../../engine';
import { programmeAt } from '../../engine/hearing';

/** A loudspeaker that gets so much less, dB, plays nothing any more. Our own. */
const SILENT_BY = 30;

const programmes = new WeakMap<Facts, ReadonlyMap<string, number>>();

/** What every loudspeaker of a rig plays, dBV; worked out once for one rig’s facts. */
function playedIn(facts: Facts): ReadonlyMap<string, number> {
  const known = programmes.get(facts);
  if (known) return known;
  const found = new Map(
    [...facts.laid.values()].flatMap(({ placed, part }) =>
      part.speaker ? [[placed.id, programmeAt(facts, placed.id)] as const] : [],
    ),
  );
  programmes.set(facts, found);
  return found;
}

/** Whether hum is cured by a loudspeaker that played and plays no more: that is no cure. Howling and echoes may be ended so. */
export function silencesRoom(findings: readonly Finding[], before: Facts, after: Facts): boolean {
  if (!findings.some(({ code }) => checkOf(code)?.asks === 'hum')) return false;
  const had = playedIn(before);
  if (had.size === 0) return false;
  const has = playedIn(after);
  return [...had].some(
    ([id, level]) => Number.isFinite(level) && (has.get(id) ?? -Infinity) < level - SILENT_BY,
  );
}

/** How many loudspeakers play something. */
export const roomsHeard = (facts: Facts): number =>
  [...playedIn(facts).values()].filter((level) => Number.isFinite(level)).length;

/** Whether a loudspeaker that a finding is about plays nothing: whoever mends its lead wants to hear it. */
export const leavesSilent = (findings: readonly Finding[], after: Facts): boolean => {
  const about = new Set(
    findings.flatMap(({ where, other }) => {
      const joint = after.rig.joints.find(({ id }) => id === where.joint);
      return [where.part, other, joint?.plug.part, joint?.jack.part];
    }),
  );
  return [...playedIn(after)].some(([id, level]) => about.has(id) && !Number.isFinite(level));
};
