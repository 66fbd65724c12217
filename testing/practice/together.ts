import { has, only, type PracticeCase } from './case';

const onStage = (metres: number) => ({ distances: [{ from: 'stage', to: 'desk', metres }] });

/** Asked from outside and found wrong or slow; practice's answer was written down before, and is found now. */
const FOUND_WRONG: readonly PracticeCase[] = [
  {
    name: 'guitar and voice mixed into a camera: a DI box for the guitar and a small mixer',
    from: ['guitar', 'dynamic-xlr'],
    to: [['camera-trs']],
    wishes: { channels: 'mixed' },
    answers: [has('mixer-rca-only|mixer-fx-usb', 'di-passive|di-active')],
  },
  {
    name: 'two keyboards mixed on a USB-C tablet: a mixer with USB, a pair of leads from each',
    from: ['keyboard', 'keyboard'],
    to: [['tablet-usb-c', 'recorder-app']],
    wishes: { channels: 'mixed' },
    answers: [has('mixer-fx-usb', 'lead-jack-ts')],
  },
  {
    name: 'two keyboards in stereo on a USB-C tablet: a mixer with USB, never their outputs in one splitter',
    from: ['keyboard', 'keyboard'],
    to: [['tablet-usb-c', 'recorder-app']],
    wishes: { channels: 'stereo' },
    answers: [has('mixer-fx-usb', 'lead-jack-ts')],
  },
  {
    name: 'two portable players mixed into a camera: a small mixer, never their outputs in one splitter',
    from: ['player-portable', 'player-portable'],
    to: [['camera-trs']],
    wishes: { channels: 'mixed' },
    answers: [has('mixer-rca-only|mixer-fx-usb')],
  },
  {
    name: 'two clip-ons, a side each, on an 8-pin phone: an adapter each that makes plug-in power, and a box with phantom',
    from: ['clip-on-trs', 'clip-on-trs'],
    to: [['phone-8-pin']],
    wishes: { channels: 'apart' },
    answers: [
      has('adapter-pip-xlr', 'interface-two-inputs-usb-b|interface-two-inputs|mixer-fx-usb|mixer-rca-only'),
    ],
  },
  {
    name: 'guitar and voice, a side each, on a small recorder: a DI box and a small mixer',
    from: ['guitar', 'dynamic-xlr'],
    to: [['recorder-small']],
    wishes: { channels: 'apart' },
    answers: [has('di-passive|di-active', 'mixer-rca-only|mixer-fx-usb')],
  },
  {
    name: 'a bass 15 m from a desk that feeds a camera: a DI box at the bass, then XLR',
    from: ['bass-active'],
    through: 'mixer-large',
    to: [['camera-trs']],
    answers: [has('di-passive|di-active', 'lead-xlr')],
    more: {
      sources: [{ part: 'bass-active', place: 'stage' }],
      destinations: [{ part: 'camera-trs', place: 'desk' }],
      throughPlace: 'desk',
      ...onStage(15),
    },
  },
  {
    name: 'a stereo keyboard 12 m from a mixer with USB: two DI boxes, two long XLR leads, the channels panned',
    from: ['keyboard'],
    through: 'mixer-fx-usb',
    to: [['tablet-usb-c', 'recorder-app']],
    wishes: { channels: 'stereo' },
    answers: [has('di-passive', 'lead-xlr')],
    more: {
      sources: [{ part: 'keyboard', place: 'stage' }],
      destinations: [{ part: 'tablet-usb-c', app: 'recorder-app', place: 'desk' }],
      throughPlace: 'desk',
      ...onStage(12),
    },
  },
  {
    name: 'a dynamic microphone live on a USB-C phone, guests heard: an interface of some kind, not a bare lead alone',
    from: ['dynamic-xlr-switch'],
    to: [['phone-usb-c', 'live-stream']],
    wishes: { guests: true },
    answers: [has('interface-small|mobile-voice|mobile-preamp')],
  },
  {
    name: 'a mixer with XLR outputs 12 m from a USB-C tablet: a balanced lead, and an interface at the tablet',
    from: ['dynamic-xlr'],
    through: 'mixer-xlr-main',
    to: [['tablet-usb-c', 'recorder-app']],
    answers: [has('interface-small|interface-one-input', 'lead-xlr|lead-xlr-jack|lead-jack-trs')],
    more: {
      destinations: [{ part: 'tablet-usb-c', app: 'recorder-app', place: 'desk' }],
      throughPlace: 'stage',
      ...onStage(12),
    },
  },
];

/** Asked from outside and found wrong: something else came before it, or in its place. */
const FOUND_LATE: readonly PracticeCase[] = [
  {
    name: 'guitar and voice in a voice room on a phone with a jack: a DI box, a small mixer, a padded lead',
    from: ['guitar', 'dynamic-xlr'],
    to: [['phone-ctia', 'voice-room']],
    wishes: { channels: 'mixed' },
    answers: [
      has(
        'di-passive|di-active',
        'mixer-rca-only|mixer-fx-usb',
        'lead-line-headset-pad|lead-breakout-headset',
      ),
    ],
  },
  {
    name: 'a phone plays 10 m from a mixer that is there: a DI box at the phone, an XLR lead, no box that feeds a clip-on',
    from: ['phone-ctia'],
    through: 'mixer-fx-usb',
    to: [['laptop-combo', 'recorder-app']],
    answers: [has('di-passive|di-active', 'lead-xlr', 'lead-usb-a-b')],
    never: ['adapter-pip-xlr'],
    more: {
      sources: [{ part: 'phone-ctia', place: 'stage' }],
      destinations: [{ part: 'laptop-combo', app: 'recorder-app', place: 'desk' }],
      throughPlace: 'desk',
      ...onStage(10),
    },
  },
  {
    name: 'a record deck into a laptop, stereo: a line streamer among the first two, not one pad by two USB sockets',
    from: ['deck'],
    to: [['laptop-combo', 'recorder-app']],
    wishes: { channels: 'stereo' },
    answers: [has('line-streamer|interface-two-inputs|interface-two-inputs-usb-b')],
  },
];

/** Asked from outside, with what practice does written down first, and answered so at once. */
const ANSWERED: readonly PracticeCase[] = [
  {
    name: 'a receiver and a clip-on, a side each of a camera: the splitter of left and right',
    from: ['receiver-trs', 'clip-on-trs'],
    to: [['camera-trs']],
    wishes: { channels: 'apart' },
    answers: [has('splitter-left-right', 'lead-trs-trs')],
  },
  {
    name: 'a condenser and a guitar on a track each of a USB-C tablet: an interface with two inputs',
    from: ['condenser-xlr', 'guitar'],
    to: [['tablet-usb-c', 'multitrack']],
    wishes: { channels: 'apart' },
    answers: [has('interface-two-inputs-usb-b|interface-two-inputs', 'lead-xlr', 'lead-jack-ts')],
  },
  {
    name: 'a phone’s backing track and a voice mixed into a camera: a small mixer, the phone into a line pair',
    from: ['phone-ctia', 'dynamic-xlr'],
    to: [['camera-trs']],
    wishes: { channels: 'mixed' },
    answers: [has('mixer-rca-only|mixer-fx-usb', 'lead-breakout-jacks', 'lead-xlr')],
  },
  {
    name: 'a clip-on with a headset plug into XLR inputs: adapter, and the one that makes plug-in power',
    from: ['clip-on-trrs'],
    to: [['recorder-xlr']],
    answers: [has('adapter-trrs-trs', 'adapter-pip-xlr')],
  },
  {
    name: 'a camera-top microphone with a battery into a portable recorder: an adapter or a lead to XLR',
    from: ['camera-top-self'],
    to: [['recorder-xlr']],
    answers: [has('adapter-trs-xlr|lead-trs-xlr')],
  },
  {
    name: 'two condensers on an 8-pin tablet, the interface with a supply of its own owned: nothing to buy',
    from: ['condenser-xlr', 'condenser-xlr'],
    to: [['tablet-8-pin', 'multitrack']],
    wishes: { channels: 'apart', buyNothing: true },
    drawer: {
      'interface-two-inputs-mains': 1,
      'adapter-8-pin-usb-bare': 1,
      'lead-xlr': 2,
      'lead-usb-a-b': 1,
    },
    answers: [has('interface-two-inputs-mains', 'adapter-8-pin-usb-bare')],
  },
  {
    name: 'a caller on a USB-C phone, a portable mixer: the TRRS lead and a headset dongle',
    from: ['dynamic-xlr'],
    through: 'mixer-portable-phone',
    to: [['phone-usb-c', 'voice-room']],
    wishes: { callers: true },
    answers: [has('lead-trrs-trrs', 'dongle-usb-c-headset')],
  },
  {
    name: 'two clip-ons with headset plugs on one phone: adapters and a splitter with two microphone sockets',
    from: ['clip-on-trrs', 'clip-on-trrs'],
    to: [['phone-ctia', 'camera-app']],
    wishes: { channels: 'mixed' },
    answers: [has('adapter-trrs-trs', 'splitter-two-mics|splitter-two-mics-phones')],
  },
  {
    name: 'a shotgun on a USB-C tablet that charges, heard: a box with phantom, a charging socket, headphones',
    from: ['shotgun-xlr'],
    to: [['tablet-usb-c', 'recorder-app']],
    wishes: { charge: true, hear: true },
    answers: [
      has('mobile-voice|mobile-preamp|interface-small', 'charger-usb-c', 'headphones-trs|headphones-big'),
    ],
  },
  {
    name: 'a clip-on in a browser studio on an 8-pin phone: adapter and headset dongle',
    from: ['clip-on-trs'],
    to: [['phone-8-pin', 'browser-studio']],
    answers: [has('adapter-trs-trrs|splitter-trs', 'dongle-8-pin-headset')],
  },
  {
    name: 'a headset of the older pinout in a video call on a laptop: the pinout adapter',
    from: ['headset-omtp'],
    to: [['laptop-combo', 'video-call']],
    answers: [only('adapter-ctia-omtp')],
  },
  {
    name: 'a microphone with XLR and USB 15 m from a laptop: by XLR into an interface',
    from: ['dual-mic'],
    to: [['laptop-combo', 'recorder-app']],
    wishes: { length: 15 },
    answers: [has('lead-xlr', 'interface-small|mobile-preamp')],
  },
  {
    name: 'a receiver with an 8-pin plug on a tablet that charges: no way, its one port is taken',
    from: ['receiver-8-pin'],
    to: [['tablet-8-pin', 'recorder-app']],
    wishes: { charge: true },
    answers: [],
    obstacles: ['charge'],
  },
  {
    name: 'one microphone for two cameras: its camera lead into a splitter, or a small mixer',
    from: ['dynamic-xlr'],
    to: [['camera-trs'], ['camera-trs-plain']],
    answers: [
      has('splitter-headphones', 'lead-xlr-trs-camera'),
      has('mixer-rca-only|mixer-fx-usb', 'lead-xlr'),
    ],
  },
  {
    name: 'a bass and a voice mixed into a small recorder: a small mixer and a lead from its output',
    from: ['bass-active', 'dynamic-xlr'],
    to: [['recorder-small']],
    wishes: { channels: 'mixed' },
    answers: [has('mixer-rca-only|mixer-fx-usb', 'lead-xlr')],
  },
  {
    name: 'guitar and voice in a voice room, the portable mixer and its leads owned: a DI box for the guitar',
    from: ['guitar', 'dynamic-xlr'],
    to: [['phone-ctia', 'voice-room']],
    wishes: { channels: 'mono' },
    drawer: { 'mixer-portable-phone': 1, 'lead-xlr': 1, 'lead-jack-ts': 1, 'lead-trrs-trrs': 1 },
    answers: [has('mixer-portable-phone', 'di-passive|di-active')],
  },
  {
    name: 'a record deck into an interface that is owned, with its RCA leads: two plugs of 6.35 mm for them',
    from: ['deck'],
    to: [['laptop-combo', 'recorder-app']],
    wishes: { channels: 'stereo' },
    drawer: { 'lead-rca': 2, 'interface-two-inputs': 1, 'lead-rca-pair-trs': 1 },
    answers: [has('interface-two-inputs', 'adapter-rca-jack')],
  },
  {
    name: 'three dynamic microphones mixed into a camera: a mixer with as many microphone inputs',
    from: ['dynamic-xlr', 'dynamic-xlr', 'dynamic-xlr'],
    to: [['camera-trs']],
    wishes: { channels: 'mixed' },
    answers: [has('mixer-aux-fx|mixer-xlr-main|mixer-large', 'lead-xlr')],
  },
];

export const TOGETHER: readonly PracticeCase[] = [...FOUND_WRONG, ...FOUND_LATE, ...ANSWERED];
