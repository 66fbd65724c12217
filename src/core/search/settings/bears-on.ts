import { checkOf, sensesOf, sourcesOf, type Finding } from '../../checks';
import type { Facts } from '../../engine';
import { comesTo } from '../../engine/flow';
import type { GainPath, Part } from '../../parts';
import type { RigEdit } from '../../rig';

/** Of a stage's gain a setting is a part. */
const standsIn = ({ gain }: GainPath, id: string): boolean =>
  gain.some(
    (one) =>
      typeof one === 'object' &&
      (('setting' in one && one.setting === id) || ('knob' in one && one.knob === id)),
  );

const known = new WeakMap<Part, Map<string, readonly GainPath[] | null>>();

/** The paths of a part in whose gain a setting stands; null where it does anything else as well. */
function pathsOf(part: Part, setting: string): readonly GainPath[] | null {
  const ofPart = known.get(part) ?? new Map<string, readonly GainPath[] | null>();
  known.set(part, ofPart);
  const kept = ofPart.get(setting);
  if (kept !== undefined) return kept;
  const { paths = [], settings: _settings, ...rest } = part;
  const isElsewhere = JSON.stringify(rest).includes(JSON.stringify(setting));
  const found = isElsewhere ? null : paths.filter((path) => standsIn(path, setting));
  ofPart.set(setting, found);
  return found;
}

/** The sounds that a finding is about: of its sources, and what its devices play back. None where it hangs on other things as well. */
function soundsOf({ voices, playing, playsAt }: Facts, finding: Finding): readonly string[] {
  const { code, severity, where, recorder, other } = finding;
  if (severity !== 'spoils' || checkOf(code)?.aspect === 'power') return [];
  const sources = sourcesOf(finding);
  const devices = sources.length > 0 ? [] : [where.part, recorder, other];
  return [
    ...voices.filter(({ placed }) => sources.includes(placed)),
    ...playing.filter(({ placed }) => devices.includes(playsAt.get(placed) ?? placed)),
  ].map(({ id }) => id);
}

/** Whether a switch or knob can change how loud those sounds are anywhere that a finding is about. */
export function bearsOn(facts: Facts, finding: Finding): (edit: RigEdit) => boolean {
  const sounds = soundsOf(facts, finding);
  return sounds.length === 0 ? () => true : moves(facts, sounds);
}

/**
 * Whether a switch or knob can change how loud some sounds are: it does more than set the gain of stages, or one of those stages
 * carries one of them. Sound that does not enter a stage is not changed by it, whatever its gain.
 */
export function moves(facts: Facts, sounds: readonly string[]): (edit: RigEdit) => boolean {
  const senses = sensesOf(facts);
  const enters = ({ from }: GainPath, placed: string): boolean => {
    const sense = senses.get(`${placed}/${from}`);
    return sense !== undefined && comesTo(facts, sounds, sense);
  };
  return (edit) => {
    const part = edit.kind === 'set' ? facts.laid.get(edit.part)?.part : undefined;
    const paths = edit.kind === 'set' && part ? pathsOf(part, edit.setting) : null;
    return paths === null || edit.kind !== 'set' || paths.some((path) => enters(path, edit.part));
  };
}
