import { check } from './check';
import { ANALOGUE_MODE } from './origins';
import { refusedBy } from './refused';

/** A dongle without a converter on a port that passes no analogue sound. */
export const noAnalogueMode = check({
  code: 'no-analogue-mode',
  means:
    'A dongle without a converter wants the audio accessory mode of the USB-C port, and this port has none. A dongle with a converter inside works on any port that takes USB sound.',
  severity: ['blocks'],
  origin: ANALOGUE_MODE,
  limit: 'Audio adapter accessory mode of USB Type-C (appendix A; from memory).',
  cures: ['link', 'plug'],
  find: (facts) => refusedBy(facts, 'not-analogue'),
});
