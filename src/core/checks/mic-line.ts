import type { Facts } from '../engine';
import { bridgeOn, leastResistance, nodeKey, type Step } from '../engine/circuit';
import { MICROPHONE_FROM, SHORT_BELOW, type HeadsetReading, type HostInput } from '../engine/flow';
import type { Found } from './check';
import { failing } from './failing';
import type { Place } from './finding';

function wayToGround(facts: Facts, input: HostInput): Step[] {
  const { detection } = input.capture;
  if (!detection) return [];
  const key = (node: string) => nodeKey(input.placed, node);
  return leastResistance(facts.wires, key(detection.microphone), key(detection.ground)) ?? [];
}

/** Where the microphone line loses its voltage: the joint that bridges it, else the first joint on the way. */
export function place(facts: Facts, input: HostInput): Place {
  const way = wayToGround(facts, input);
  const bridge = bridgeOn(way);
  if (bridge) return { joint: bridge.joint, plug: [bridge.plug], jack: bridge.jack };
  const joint = way.find((step) => step.joint !== undefined)?.joint;
  return joint === undefined ? { part: input.placed } : { joint };
}

/** Plugged headset inputs that take what is at their microphone contact for something of this kind. */
export const senses = (facts: Facts, isSuch: (reading: HeadsetReading) => boolean): Found[] =>
  failing(facts).flatMap(({ arrival, inputs }) =>
    inputs.flatMap((input): Found[] => {
      const { sensed } = input;
      if (!input.plugged || !sensed || !isSuch(sensed.reading)) return [];
      return [
        {
          where: place(facts, input),
          source: arrival.source,
          recorder: input.host,
          values: [
            { name: 'resistance to ground', value: sensed.resistance, unit: 'ohm' },
            { name: 'left at the microphone contact', value: sensed.left, unit: 'V' },
            { name: 'short or hook button under', value: SHORT_BELOW, unit: 'ohm' },
          ],
          limit: { value: MICROPHONE_FROM, unit: 'ohm', is: 'at least' },
        },
      ];
    }),
  );
