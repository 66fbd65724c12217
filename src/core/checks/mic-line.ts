import { bridgeOn, leastResistance, nodeKey, type Step } from '../engine/circuit';
import { MICROPHONE_FROM, SHORT_BELOW, type HostInput, type Sensed } from '../engine/flow';
import type { Facts } from '../engine/facts';
import { failing } from './failing';
import type { Finding, Place } from './finding';
import { HEADSET_SPECIFICATION } from './origins';

function wayToGround(facts: Facts, input: HostInput): Step[] {
  const { detection } = input.capture;
  if (!detection) return [];
  const key = (node: string) => nodeKey(input.placed, node);
  return leastResistance(facts.wires, key(detection.microphone), key(detection.ground)) ?? [];
}

/** Where the microphone line loses its voltage: the joint that bridges it, else the first joint on the way. */
function place(facts: Facts, input: HostInput): Place {
  const way = wayToGround(facts, input);
  const bridge = bridgeOn(way);
  if (bridge) return { joint: bridge.joint, plug: [bridge.plug], jack: bridge.jack };
  const joint = way.find((step) => step.joint !== undefined)?.joint;
  return joint === undefined ? { part: input.placed } : { joint };
}

function finding(facts: Facts, input: HostInput, sensed: Sensed, source: string): Finding {
  const shorted = sensed.reading === 'shorted';
  return {
    code: shorted ? 'mic-line-shorted' : 'mic-line-loaded',
    severity: 'blocks',
    where: place(facts, input),
    source,
    recorder: input.host,
    values: [
      { name: 'resistance to ground', value: sensed.resistance, unit: 'ohm' },
      { name: 'left at the microphone contact', value: sensed.left, unit: 'V' },
      { name: 'short or hook button under', value: SHORT_BELOW, unit: 'ohm' },
    ],
    limit: { value: MICROPHONE_FROM, unit: 'ohm', is: 'at least' },
    origin: HEADSET_SPECIFICATION,
  };
}

/** A plugged headset input that does not sense a microphone, because its line is pulled to ground. */
export function micLine(facts: Facts): Finding[] {
  return failing(facts).flatMap(({ arrival, inputs }) =>
    inputs.flatMap((input) => {
      const { sensed } = input;
      if (!input.plugged || !sensed || sensed.reading === 'microphone') return [];
      return [finding(facts, input, sensed, arrival.source)];
    }),
  );
}
