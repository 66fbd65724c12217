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
  text: 'full scale of the input and crest of the source, typical',
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
export const USB_TREE: Origin = { kind: 'standard', text: 'USB 2.0, 4.1.1: five hubs at most' };
export const USB_CURRENT: Origin = {
  kind: 'standard',
  text: 'USB 2.0, 7.2.1 and what the port gives (typical); hosts refuse on declared draw',
};
export const AUTHENTICATION: Origin = {
  kind: 'common practice',
  text: '8-pin ports want an authenticated accessory',
};
export const DATA_LINE: Origin = { kind: 'computed', text: 'computed from the lines of the leads' };
export const ONE_DEVICE: Origin = {
  kind: 'common practice',
  text: 'one USB sound device at a time on phones and tablets',
};
export const ONE_DEVICE_AN_APP: Origin = {
  kind: 'common practice',
  text: 'an app records from one sound device at a time',
};
export const MAXIMUM: Origin = {
  kind: 'typical',
  text: 'absolute maximum of the contact, typical; phantom power is 48 ± 4 V through 6.81 kΩ a leg (IEC 61938)',
};
export const HEADROOM: Origin = {
  kind: 'common practice',
  text: 'room for a laugh or a louder word',
};
export const FAINT: Origin = {
  kind: 'our own',
  text: 'our own limit, 18 dB under the usual target of −12 dBFS',
};
export const HISSING: Origin = {
  kind: 'our own',
  text: 'our own limit: what is nearer to the noise is heard to hiss in the pauses',
};
export const LONG_RUN: Origin = {
  kind: 'common practice',
  text: 'unbalanced leads of 15 to 20 ft at the most; what a metre picks up is our own figure, within ±10 dB',
};
export const HALF_POWER: Origin = {
  kind: 'standard',
  text: 'half power, 3 dB (IEC 60268-1; from memory); the band of the source is typical',
};
export const HUM: Origin = {
  kind: 'typical',
  text: 'what drives earths and grounds is typical and from memory, within ±10 dB; the way that it takes is computed',
};
export const LINE_VOLTS: Origin = {
  kind: 'standard',
  text: 'USB 2.0, 7.2.2: 4.40 V at a device behind a hub without a supply; conductors of 24 AWG, from memory',
};
export const BANK_SLEEPS: Origin = {
  kind: 'common practice',
  text: 'many power banks turn off under 50 to 100 mA; try it with yours',
};
export const RUN_TIME: Origin = {
  kind: 'typical',
  text: 'what batteries hold and devices take, typical',
};
export const MIX_MINUS: Origin = {
  kind: 'common practice',
  text: 'mix-minus: everyone hears everyone but themself; each further caller needs a send of their own',
};
export const SENDS: Origin = {
  kind: 'common practice',
  text: 'a caller is fed from a send ahead of the faders, so that the mix for the stream is free',
};
export const HEADSET_IN_OUTPUT: Origin = {
  kind: 'common practice',
  text: 'a headphone socket of an interface or mixer has no contact for a microphone',
};
export const DOUBLED: Origin = {
  kind: 'typical',
  text: 'delay of an app, typical; about 10 ms for a singer, from memory',
};
export const BARKHAUSEN: Origin = {
  kind: 'standard',
  text: 'Barkhausen’s criterion, the phase taken at its worst',
};
export const FLOATING_EARS: Origin = {
  kind: 'computed',
  text: 'computed from what touches what: the common return of both earpieces hangs open',
};
export const STAGE_LIMIT: Origin = { kind: 'typical', text: 'clip level of the stage, typical' };
export const BRIDGING: Origin = {
  kind: 'standard',
  text: 'bridging, a load of ten times the source (IEC 60268-15; from memory); resistances are typical',
};
export const EQUAL_LEGS: Origin = {
  kind: 'our own',
  text: 'our own limit; IEC 61938 feeds both legs alike, through two equal resistors',
};
export const PHANTOM: Origin = {
  kind: 'typical',
  text: 'least supply of the microphone, typical; P48 after IEC 61938',
};
export const MONO_SUM: Origin = {
  kind: 'our own',
  text: 'our own limit: the sum of both sides at most 10 dB under the louder side',
};
export const ANALOGUE_MODE: Origin = {
  kind: 'standard',
  text: 'USB Type-C specification, audio adapter accessory mode (appendix A; from memory)',
};
export const REAL_DRAW: Origin = {
  kind: 'typical',
  text: 'what the device really takes, typical; what the socket gives after USB 2.0, 7.2.1',
};
export const FRAME_BYTES: Origin = {
  kind: 'standard',
  text: 'USB 2.0, 5.6.3: 1,023 bytes of isochronous data in a full-speed frame',
};
export const USB_LEAD: Origin = {
  kind: 'standard',
  text: 'USB 2.0, 7.1.16 (cable delay; from memory): about 5 m a lead',
};
export const NOTICED: Origin = {
  kind: 'common practice',
  text: 'some mobile interfaces are noticed only with headphones in; try it with yours',
};
export const CHOICE_IN_APP: Origin = { kind: 'computed', text: 'what was chosen in the app' };
export const SWITCH: Origin = { kind: 'computed', text: 'where the switch stands' };
export const OWN_POWER: Origin = {
  kind: 'computed',
  text: 'what feeds the part, and where its switch stands',
};
export const OWN_TRACK: Origin = {
  kind: 'computed',
  text: 'the rig asks for a side or track of its own for each source',
};
export const ASK_FIRST: Origin = {
  kind: 'common practice',
  text: 'ask before a voice is recorded; local law decides',
};
export const VOLUME_KEYS: Origin = {
  kind: 'common practice',
  text: 'the output follows the volume keys',
};
export const THREE_TO_ONE: Origin = {
  kind: 'common practice',
  text: 'three-to-one rule; direct sound by distance and pattern, room by Sabine',
};
export const HEADPHONES: Origin = {
  kind: 'common practice',
  text: 'guests are heard only from the device that the app runs on',
};
export const PLAYBACK_FOLLOWS: Origin = {
  kind: 'common practice',
  text: 'phones and tablets play back through the sound device that they record from',
};
export const RETURNED: Origin = {
  kind: 'our own',
  text: 'our own limit, 30 dB under full scale; talker echo is the matter of ITU-T G.131',
};
export const LOOP_MARGIN: Origin = {
  kind: 'common practice',
  text: 'six decibels under howling; loop gain under one by Barkhausen’s criterion; patterns, Sabine and levels of loudspeakers from textbooks and typical',
};
export const TALKER_ECHO: Origin = {
  kind: 'standard',
  text: 'ITU-T G.131, talker echo loudness against delay; figures from memory',
};
