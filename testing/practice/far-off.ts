import { has, only, type PracticeCase } from './case';

const onStage = (...parts: readonly string[]) => parts.map((part) => ({ part, place: 'stage' }));
const apart = (metres: number) => ({ distances: [{ from: 'stage', to: 'desk', metres }] });

/** Asked from outside, what practice does written down before; the first three were wrong, the others slow or oddly plugged. */
export const FAR_OFF: readonly PracticeCase[] = [
  {
    name: 'two dynamic microphones 15 m from a camera, mixed: two long XLR leads into a small mixer beside it',
    from: ['dynamic-xlr', 'dynamic-xlr'],
    to: [['camera-trs']],
    wishes: { channels: 'mixed' },
    answers: [has('lead-xlr', 'mixer-rca-only|mixer-fx-usb')],
    more: {
      sources: onStage('dynamic-xlr', 'dynamic-xlr'),
      destinations: [{ part: 'camera-trs', place: 'desk' }],
      ...apart(15),
    },
  },
  {
    name: 'two dynamic microphones 15 m from a USB-C phone, a track each: two long XLR leads, an interface with two inputs',
    from: ['dynamic-xlr', 'dynamic-xlr'],
    to: [['phone-usb-c', 'multitrack']],
    wishes: { channels: 'apart' },
    answers: [has('lead-xlr', 'interface-two-inputs-usb-b|interface-two-inputs')],
    more: {
      sources: onStage('dynamic-xlr', 'dynamic-xlr'),
      destinations: [{ part: 'phone-usb-c', app: 'multitrack', place: 'desk' }],
      ...apart(15),
    },
  },
  {
    name: 'a voice and a guitar 12 m from a laptop, a track each: a DI box at the guitar, balanced runs',
    from: ['dynamic-xlr', 'guitar'],
    to: [['laptop-combo', 'multitrack']],
    wishes: { channels: 'apart' },
    answers: [has('di-passive|di-active', 'lead-xlr')],
    more: {
      sources: onStage('dynamic-xlr', 'guitar'),
      destinations: [{ part: 'laptop-combo', app: 'multitrack', place: 'desk' }],
      ...apart(12),
    },
  },
  {
    name: 'a microphone on a USB-C phone that charges, a MIDI keyboard beside it: an interface on a hub with a charging socket',
    from: ['dynamic-xlr'],
    to: [['phone-usb-c', 'multitrack']],
    wishes: { charge: true },
    answers: [has('interface-small', 'hub-usb-c', 'charger-usb-c')],
    more: { carried: ['midi-keyboard'] },
  },
  {
    name: 'a stereo keyboard 8 m from a portable recorder: two DI boxes, two long XLR leads',
    from: ['keyboard'],
    to: [['recorder-xlr']],
    wishes: { channels: 'stereo' },
    answers: [has('di-passive|di-active', 'lead-xlr')],
    more: {
      sources: onStage('keyboard'),
      destinations: [{ part: 'recorder-xlr', place: 'desk' }],
      ...apart(8),
    },
  },
  {
    name: 'two phones play into a mixer with two line pairs: a breakout lead each, a pair each',
    from: ['phone-ctia', 'phone-usb-c'],
    through: 'mixer-fx-usb',
    to: [['laptop-combo', 'recorder-app']],
    wishes: { channels: 'mixed' },
    answers: [has('lead-breakout-jacks', 'dongle-usb-c-headset', 'lead-usb-a-b')],
  },
  {
    name: 'a condenser 30 m from a mixer with USB that is there, then an 8-pin phone: one XLR lead of 30 m',
    from: ['condenser-xlr'],
    through: 'mixer-fx-usb',
    to: [['phone-8-pin', 'live-stream']],
    answers: [has('lead-xlr')],
    more: {
      sources: onStage('condenser-xlr'),
      destinations: [{ part: 'phone-8-pin', app: 'live-stream', place: 'desk' }],
      throughPlace: 'desk',
      ...apart(30),
    },
  },
  {
    name: 'a condenser 10 m from an 8-pin phone that charges: XLR, a small interface, an adapter with a charging socket',
    from: ['condenser-xlr'],
    to: [['phone-8-pin', 'recorder-app']],
    wishes: { charge: true },
    answers: [has('lead-xlr', 'interface-small', 'adapter-8-pin-usb', 'charger-8-pin')],
    more: {
      sources: onStage('condenser-xlr'),
      destinations: [{ part: 'phone-8-pin', app: 'recorder-app', place: 'desk' }],
      ...apart(10),
    },
  },
  {
    name: 'a dynamic microphone 40 m from a portable recorder: two XLR leads, one in the other',
    from: ['dynamic-xlr'],
    to: [['recorder-xlr']],
    wishes: { length: 40 },
    answers: [only('lead-xlr')],
  },
  {
    name: 'a USB microphone 40 m from a laptop: no way, it is too far for its numbers',
    from: ['usb-mic-low'],
    to: [['laptop-combo', 'recorder-app']],
    answers: [],
    obstacles: ['length'],
    more: {
      sources: onStage('usb-mic-low'),
      destinations: [{ part: 'laptop-combo', app: 'recorder-app', place: 'desk' }],
      ...apart(40),
    },
  },
  {
    name: 'a USB microphone 10 m from a laptop: two leads of 5 m and a hub between them',
    from: ['usb-mic-big'],
    to: [['laptop-combo', 'recorder-app']],
    answers: [has('lead-usb-a-b', 'hub-usb-a|hub-unpowered|hub-powered-odd|hub-usb-c')],
    more: {
      sources: onStage('usb-mic-big'),
      destinations: [{ part: 'laptop-combo', app: 'recorder-app', place: 'desk' }],
      ...apart(10),
    },
  },
  {
    name: 'a dynamic microphone 18 m from a portable recorder, two XLR leads of 10 m owned, nothing to buy: one in the other',
    from: ['dynamic-xlr'],
    to: [['recorder-xlr']],
    wishes: { length: 18, buyNothing: true },
    drawer: { 'lead-xlr': 2 },
    answers: [only('lead-xlr')],
    more: { leadLengths: { 'lead-xlr': [10, 10] } },
  },
  {
    name: 'a guitar 12 m from a mixer with USB that is there: a DI box at the guitar, an XLR lead, the mixer’s own USB lead to the laptop',
    from: ['guitar'],
    through: 'mixer-fx-usb',
    to: [['laptop-combo', 'multitrack']],
    answers: [has('di-passive|di-active', 'lead-xlr', 'lead-usb-a-b|lead-usb-c-b')],
    more: { sources: onStage('guitar'), throughPlace: 'desk', ...apart(12) },
  },
  {
    name: 'a portable player 15 m from a mixer that is there, stereo: a lead that parts its sides, two DI boxes, two long XLR leads',
    from: ['player-portable'],
    through: 'mixer-large',
    to: [['recorder-line']],
    wishes: { channels: 'stereo' },
    answers: [has('lead-breakout-jacks', 'di-passive|di-active', 'lead-xlr')],
    more: { sources: onStage('player-portable'), throughPlace: 'desk', ...apart(15) },
  },
  {
    name: 'a condenser 10 m from a portable recorder and a camera beside it: a long XLR lead, and on from its line output',
    from: ['condenser-xlr'],
    to: [['recorder-xlr'], ['camera-trs']],
    answers: [only('lead-xlr', 'lead-left-to-both|lead-trs-trs')],
    more: {
      sources: onStage('condenser-xlr'),
      destinations: [
        { part: 'recorder-xlr', place: 'desk' },
        { part: 'camera-trs', place: 'desk' },
      ],
      ...apart(10),
    },
  },
];
