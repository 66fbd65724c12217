import { MICROPHONE_FROM } from '../engine/flow';
import { formatOhms } from '../units';
import { check, type Found } from './check';
import { inputOf } from './input-of';
import { place } from './mic-line';
import { HEADSET_SPECIFICATION } from './origins';

/** A headset jack that reads more than any button and less than is asked of a microphone: most take it for one. Two capsules on one contact. */
export const micLineUnsure = check({
  code: 'mic-line-unsure',
  means:
    'A headset jack looks for a microphone by its resistance. This one lies between the highest button and the least microphone: two capsules on one contact, as a rule. Most devices take it for a microphone, some do not.',
  severity: ['note'],
  origin: HEADSET_SPECIFICATION,
  limit: `At least ${formatOhms(MICROPHONE_FROM)} to be sure (Android wired headset specification 1.1; from memory).`,
  cures: ['plug', 'link'],
  find: (facts) => {
    const told = new Map<string, Found>();
    for (const arrival of facts.arrivals) {
      const input = arrival.state === 'recorded' ? inputOf(facts, arrival) : undefined;
      if (!input?.sensed || input.sensed.reading !== 'unsure' || told.has(input.host)) continue;
      told.set(input.host, {
        where: place(facts, input),
        source: arrival.source,
        recorder: input.host,
        values: [{ name: 'resistance to ground', value: input.sensed.resistance, unit: 'ohm' }],
        limit: { value: MICROPHONE_FROM, unit: 'ohm', is: 'at least' },
      });
    }
    return [...told.values()];
  },
});
