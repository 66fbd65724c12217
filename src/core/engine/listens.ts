import { networkOf, touchLinks } from './circuit';
import { chooseInput, hostInputs } from './flow';
import type { Rig } from '../rig';
import { dbV } from '../units';
import { circuitKey, rigFacts } from './facts';
import { readings } from './mate';
import type { Refusal } from './bus';

/** Refusals that more current cures. */
const CURABLE: Refusal = 'too-little-current';

const silent = () => dbV(-Infinity);

/**
 * Whether every recorder could listen to something from outside, by the bus and direct current alone: false where an
 * accessory is refused for good or a headset jack senses a short. What it says no to, the whole pipeline says no to.
 */
export function couldListen(rig: Rig): boolean {
  const base = rigFacts(rig);
  const [reading] = readings(base.matings);
  if (!reading) return false;
  const touches = touchLinks(base.matings, reading);
  const { nets, direct } = networkOf(circuitKey(base.circuits, touches), base.elements, touches);
  return rig.purpose.recorders.every((id) => {
    const host = base.laid.get(id);
    if (!host?.part.host) return false;
    const heard = { rig, nets, direct, sources: [], laid: base.laid, noise: silent };
    const inputs = hostInputs({ ...heard, alternating: { gain: () => undefined } }, host, base.devices);
    if (chooseInput(rig, host, inputs).input) return true;
    const refused = base.devices.some((d) => d.host === id && d.refusal && d.refusal !== CURABLE);
    const shorted = inputs.some((input) => input.sensed?.reading === 'shorted' && input.plugged);
    return !refused && !shorted;
  });
}
