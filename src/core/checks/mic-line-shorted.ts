import { MICROPHONE_FROM, SHORT_BELOW } from '../engine/flow';
import { formatOhms } from '../units';
import { check } from './check';
import { senses } from './mic-line';
import { HEADSET_SPECIFICATION } from './origins';

/** A headset jack whose microphone line is pulled to ground: it believes in plain headphones. */
export const micLineShorted = check({
  code: 'mic-line-shorted',
  means:
    'The jack reads a short or the hook button at its microphone contact, takes what is plugged in for plain headphones, and keeps its own microphone.',
  severity: ['blocks'],
  origin: HEADSET_SPECIFICATION,
  limit: `At least ${formatOhms(MICROPHONE_FROM)} from microphone contact to ground; under ${formatOhms(SHORT_BELOW)} is a short or the hook button (Android wired headset specification 1.1; from memory).`,
  cures: ['plug', 'link'],
  find: (facts) => senses(facts, (reading) => reading === 'shorted'),
});
