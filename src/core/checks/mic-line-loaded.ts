import { MICROPHONE_FROM } from '../engine/flow';
import { formatOhms } from '../units';
import { check } from './check';
import { senses } from './mic-line';
import { HEADSET_SPECIFICATION } from './origins';

/** A headset jack that reads neither a short nor a microphone: a button, or a bare line output. */
export const micLineLoaded = check({
  code: 'mic-line-loaded',
  means:
    'The resistance at the microphone contact lies between a short and a microphone: a button, or a bare line output.',
  severity: ['blocks'],
  origin: HEADSET_SPECIFICATION,
  limit: `At least ${formatOhms(MICROPHONE_FROM)} (Android wired headset specification 1.1; from memory).`,
  cures: ['plug', 'link', 'switch'],
  find: (facts) => senses(facts, (reading) => reading === 'button' || reading === 'undefined'),
});
