import type { Origin } from './finding';

export const HEADSET_SPECIFICATION: Origin = {
  kind: 'standard',
  text: 'Android wired headset specification 1.1; figures from memory',
};
export const HEADSET_PINOUT: Origin = {
  kind: 'standard',
  text: 'ITU-T P.381 and OMTP 2009 headset pinouts; clauses from memory',
};
export const COMPUTED: Origin = { kind: 'computed', text: 'computed from what touches what' };
export const TYPICAL_CAPSULE: Origin = { kind: 'typical', text: 'typical electret capsule' };
export const FULL_SCALE: Origin = {
  kind: 'typical',
  text: 'full scale of the input, typical; speech crest 12 dB, typical',
};
export const AUDIBILITY: Origin = {
  kind: 'our own',
  text: 'our own limit, after common speech-to-noise practice',
};
export const SIDES: Origin = {
  kind: 'our own',
  text: 'our own limit: a side 20 dB under the other counts as empty',
};
export const PLUG_SIZES: Origin = {
  kind: 'standard',
  text: 'IEC 60603-11 plug dimensions; from memory',
};
export const JACK_SPREAD: Origin = {
  kind: 'typical',
  text: 'depth of the sleeve spring differs between jacks; from memory',
};
