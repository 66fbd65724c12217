import { has, type PracticeCase } from './case';

/** Two packs and something else: one receiver for both, and it and the rest into one box. Common practice; written before any answer was seen. */
export const PACKS: readonly PracticeCase[] = [
  {
    name: 'two packs and a handheld into a camera, mixed: one receiver, a small mixer',
    from: ['pack-clip-on', 'pack-clip-on', 'dynamic-xlr'],
    to: [['camera-trs']],
    answers: [has('receiver-two-channel', 'mixer-one-mic|mixer-rca-only|mixer-fx-usb', 'lead-xlr')],
  },
  {
    name: 'two packs and a guitar on a USB-C tablet: one receiver, an interface or mixer with USB',
    from: ['pack-clip-on', 'pack-clip-on', 'guitar'],
    to: [['tablet-usb-c', 'recorder-app']],
    answers: [
      has(
        'receiver-two-channel',
        'mixer-fx-usb|interface-two-inputs|interface-two-inputs-usb-b|interface-four-inputs',
      ),
    ],
  },
  {
    name: 'two packs and a handheld over a mixer that is there, into a laptop: one receiver, one USB lead',
    from: ['pack-clip-on', 'pack-clip-on', 'dynamic-xlr'],
    through: 'mixer-fx-usb',
    to: [['laptop-combo', 'recorder-app']],
    answers: [has('receiver-two-channel', 'lead-xlr', 'lead-usb-a-b|lead-usb-c-b')],
  },
  {
    name: 'two packs, their receiver owned, and a phone’s backing track into a camera: a small mixer',
    from: ['pack-clip-on', 'pack-clip-on', 'phone-ctia'],
    to: [['camera-trs']],
    drawer: { 'receiver-two-channel': 1 },
    answers: [has('receiver-two-channel', 'mixer-rca-only|mixer-fx-usb')],
  },
  {
    name: 'two packs and a handheld over a portable mixer, a voice room on a phone: one receiver',
    from: ['pack-clip-on', 'pack-clip-on', 'dynamic-xlr'],
    through: 'mixer-portable-phone',
    to: [['phone-ctia', 'voice-room']],
    answers: [has('receiver-two-channel', 'lead-xlr')],
  },
  {
    name: 'four packs over a mixer that is there, into a laptop: two receivers, one USB lead',
    from: ['pack-clip-on', 'pack-clip-on', 'pack-clip-on', 'pack-clip-on'],
    through: 'mixer-fx-usb',
    to: [['laptop-combo', 'recorder-app']],
    answers: [has('receiver-two-channel', 'lead-usb-a-b|lead-usb-c-b')],
  },
  {
    name: 'two packs and a guitar, a track each, on a laptop: one receiver, an interface with four inputs',
    from: ['pack-clip-on', 'pack-clip-on', 'guitar'],
    to: [['laptop-combo', 'multitrack']],
    wishes: { channels: 'apart' },
    answers: [has('receiver-two-channel', 'interface-four-inputs|interface-four-mics')],
  },
  {
    name: 'two packs and a handheld 12 m from a mixer that is there: the receiver at the mixer, one long XLR lead',
    from: ['pack-clip-on', 'pack-clip-on', 'dynamic-xlr'],
    through: 'mixer-fx-usb',
    to: [['laptop-combo', 'recorder-app']],
    answers: [has('receiver-two-channel', 'lead-xlr', 'lead-usb-a-b|lead-usb-c-b')],
    more: {
      sources: ['pack-clip-on', 'pack-clip-on', 'dynamic-xlr'].map((part) => ({ part, place: 'stage' })),
      throughPlace: 'desk',
      destinations: [{ part: 'laptop-combo', app: 'recorder-app', place: 'desk' }],
      distances: [{ from: 'stage', to: 'desk', metres: 12 }],
    },
  },
  {
    name: 'two packs and a caller over a mixer with two sends: one receiver, a padded way to the caller',
    from: ['pack-clip-on', 'pack-clip-on'],
    through: 'mixer-monitor-fx',
    to: [['phone-ctia', 'video-call']],
    wishes: { callers: true },
    answers: [has('receiver-two-channel', 'lead-line-headset-pad|lead-breakout-headset')],
  },
  {
    name: 'two packs over a mixer that is there, into a laptop and a camera at once: one receiver, one USB lead',
    from: ['pack-clip-on', 'pack-clip-on'],
    through: 'mixer-fx-usb',
    to: [['laptop-combo', 'recorder-app'], ['camera-trs']],
    answers: [has('receiver-two-channel', 'lead-usb-a-b|lead-usb-c-b')],
  },
];
