import type { NetElement } from '../circuit';
import type { Facts } from '../pipeline/facts';
import { jointsOf } from '../rig';
import { failing } from './failing';
import type { Finding, Measured } from './finding';
import { HEADSET_PINOUT, TYPICAL_CAPSULE } from './origins';

type Capsule = Extract<NetElement, { kind: 'electret' }>;

/** Under this a voltage is nothing but rounding. */
const NO_VOLTAGE = 1e-4;

function finding(facts: Facts, element: Capsule, bias: number, source: string, recorder: string): Finding {
  const swapped = bias < -NO_VOLTAGE;
  const joint = jointsOf(facts.rig, element.placed)[0]?.id;
  const values: Measured[] = [{ name: 'bias across the capsule', value: bias, unit: 'V' }];
  return {
    code: swapped ? 'contacts-swapped' : 'capsule-unpowered',
    severity: 'blocks',
    where: {
      ...(joint === undefined ? { part: element.placed } : { joint }),
      ...(swapped && { plug: ['R2', 'S'], jack: ['R2', 'S'] }),
    },
    source,
    recorder,
    values,
    limit: { value: element.capsule.minimumBias, unit: 'V', is: 'at least' },
    origin: swapped ? HEADSET_PINOUT : TYPICAL_CAPSULE,
  };
}

/** An electret whose bias is missing, or stands the wrong way round because microphone and ground are exchanged. */
export function capsule(facts: Facts): Finding[] {
  return failing(facts).flatMap(({ arrival }) =>
    facts.elements
      .filter((e): e is Capsule => e.kind === 'electret' && e.placed === arrival.source)
      .flatMap((element) => {
        const bias = facts.direct.between(facts.nets.of(element.a), facts.nets.of(element.b));
        if (bias === undefined || bias >= element.capsule.minimumBias) return [];
        return [finding(facts, element, bias, arrival.source, arrival.recorder)];
      }),
  );
}
