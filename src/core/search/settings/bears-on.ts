import { reachesSense, sensesOf } from '../../checks';
import type { Facts } from '../../engine';
import type { GainPath, Part } from '../../parts';
import type { RigEdit } from '../../rig';

const stageOnly = new WeakMap<Part, Map<string, readonly GainPath[] | null>>();

/** The paths of a part in whose gain a switch stands; null where it does anything else as well. */
function pathsOfSwitch(part: Part, setting: string): readonly GainPath[] | null {
  const ofPart = stageOnly.get(part) ?? new Map<string, readonly GainPath[] | null>();
  stageOnly.set(part, ofPart);
  const known = ofPart.get(setting);
  if (known !== undefined) return known;
  const { paths = [], settings: _settings, ...rest } = part;
  const elsewhere = JSON.stringify(rest).includes(JSON.stringify(setting));
  const found = elsewhere
    ? null
    : paths.filter(({ gain }) =>
        gain.some((one) => typeof one === 'object' && 'setting' in one && one.setting === setting),
      );
  ofPart.set(setting, found);
  return found;
}

/**
 * Whether a switch can change how loud a source is anywhere: it does more than set the gain of stages, or one of those stages
 * carries the source. Sound that does not enter a stage is not changed by it, whatever its gain.
 */
export function bearsOn(facts: Facts, source: string, edit: RigEdit): boolean {
  if (edit.kind !== 'set') return true;
  const part = facts.laid.get(edit.part)?.part;
  const paths = part && pathsOfSwitch(part, edit.setting);
  if (!paths) return true;
  const senses = sensesOf(facts);
  return paths.some(({ from }) => {
    const sense = senses.get(`${edit.part}/${from}`);
    return sense !== undefined && reachesSense(facts, source, sense);
  });
}
