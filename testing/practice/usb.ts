import { has, only, type PracticeCase } from './case';

const SUPPLY = 'charger-usb-a|charger-usb-c|charger-8-pin|power-bank|power-bank-usb-c';
const CHARGER = 'charger-usb-c|charger-usb-a|power-bank|power-bank-usb-c';

/** Ways by a digital port: microphones, receivers, interfaces, hubs and what feeds them. */
export const USB: readonly PracticeCase[] = [
  {
    name: 'a receiver with both outputs to an 8-pin phone: its USB through the host adapter, or the patch cable and dongle',
    from: ['receiver-both'],
    to: [['phone-8-pin', 'recorder-app']],
    answers: [
      has('lead-usb-a-c', 'adapter-8-pin-usb|adapter-8-pin-usb-bare'),
      only('patch-trs-trrs', 'dongle-8-pin-headset'),
    ],
  },
  {
    name: 'the same into a voice room: the headset path, as only headsets are taken',
    from: ['receiver-both'],
    to: [['phone-8-pin', 'voice-room']],
    answers: [only('patch-trs-trrs', 'dongle-8-pin-headset')],
    never: ['adapter-8-pin-usb', 'adapter-8-pin-usb-bare'],
  },
  {
    name: 'a receiver with a USB-C plug into a USB-C phone: nothing between',
    from: ['receiver-usb'],
    to: [['phone-usb-c', 'recorder-app']],
    answers: [only()],
  },
  {
    name: 'a receiver with an 8-pin plug into its phone: nothing between',
    from: ['receiver-8-pin'],
    to: [['phone-8-pin', 'camera-app']],
    answers: [only()],
  },
  {
    name: 'a USB-C receiver to an 8-pin phone: host adapter and a plug adapter',
    from: ['receiver-usb'],
    to: [['phone-8-pin', 'recorder-app']],
    answers: [has('adapter-8-pin-usb|adapter-8-pin-usb-bare', 'adapter-usb-a-c')],
  },
  {
    name: 'a USB-C receiver into a headset-only app of an 8-pin phone: there is no way',
    from: ['receiver-usb'],
    to: [['phone-8-pin', 'voice-room']],
    answers: [],
    obstacles: [],
  },
  {
    name: 'a low-draw USB microphone into a USB-C phone: one lead',
    from: ['usb-mic-low'],
    to: [['phone-usb-c', 'recorder-app']],
    answers: [only('lead-usb-c-c')],
    never: ['lead-usb-a-c-charge', 'lead-usb-c-charge'],
  },
  {
    name: 'a desk microphone with a USB-B socket into a USB-C phone: one lead',
    from: ['usb-mic-big'],
    to: [['phone-usb-c', 'recorder-app']],
    answers: [only('lead-usb-c-b')],
  },
  {
    name: 'a hungry USB microphone to an 8-pin tablet: adapter with a supply, or a powered hub',
    from: ['usb-mic-big'],
    to: [['tablet-8-pin', 'recorder-app']],
    answers: [
      has('lead-usb-a-b', 'adapter-8-pin-usb', 'charger-8-pin|lead-usb-a-8-pin|lead-usb-c-8-pin'),
      has('lead-usb-a-b', 'adapter-8-pin-usb|adapter-8-pin-usb-bare', 'hub-usb-a|hub-powered-odd'),
    ],
  },
  {
    name: 'a USB microphone with a headphone socket into a voice room: out of its headphones by the headset path, fed by USB',
    from: ['usb-mic-low-phones'],
    to: [['phone-8-pin', 'voice-room']],
    answers: [has('dongle-8-pin-headset', SUPPLY)],
    never: ['adapter-8-pin-usb', 'adapter-8-pin-usb-bare'],
  },
  {
    name: 'two USB microphones on one tablet: there is no way, one sound device at a time (common practice)',
    from: ['usb-mic-low', 'usb-mic-low'],
    to: [['tablet-8-pin', 'multitrack']],
    answers: [],
    obstacles: [],
  },
  {
    name: 'two USB microphones on a laptop, which has sockets for both: there is no way, an app records one sound device (common practice)',
    from: ['usb-mic-low', 'usb-mic-low'],
    to: [['laptop-combo', 'multitrack']],
    wishes: { channels: 'apart' },
    answers: [],
    obstacles: [],
  },
  {
    name: 'two microphones with USB and XLR: the XLR side into one interface with two inputs',
    from: ['dual-mic', 'dual-mic'],
    to: [['phone-usb-c', 'multitrack']],
    wishes: { channels: 'apart' },
    answers: [has('interface-two-inputs|interface-two-inputs-usb-b|interface-two-inputs-mains', 'lead-xlr')],
  },
  {
    name: 'a condenser to a USB-C tablet: a small interface with phantom, and the lead to it',
    from: ['condenser-xlr'],
    to: [['tablet-usb-c', 'recorder-app']],
    answers: [only('interface-small|interface-one-input', 'lead-xlr')],
  },
  {
    name: 'a condenser into a voice room on an 8-pin phone: mobile preamplifier and headset dongle',
    from: ['condenser-xlr'],
    to: [['phone-8-pin', 'voice-room']],
    answers: [only('mobile-voice|mobile-preamp', 'dongle-8-pin-headset', 'lead-xlr')],
    // An interface may stand there as a preamplifier, by its line output, and a dongle of the other port behind a host adapter, untested.
  },
  {
    name: 'a condenser to an 8-pin tablet by USB: interface, adapter and a supply, or the mobile preamplifier',
    from: ['condenser-xlr'],
    to: [['tablet-8-pin', 'multitrack']],
    answers: [
      has('interface-small|interface-one-input', 'lead-xlr', 'adapter-8-pin-usb'),
      has('interface-small|interface-one-input', 'lead-xlr', 'hub-usb-a'),
      only('mobile-voice|mobile-preamp', 'dongle-8-pin-headset', 'lead-xlr'),
    ],
  },
  {
    name: 'a condenser to an 8-pin tablet that charges: adapter with its charging socket used',
    from: ['condenser-xlr'],
    to: [['tablet-8-pin', 'recorder-app']],
    wishes: { charge: true },
    answers: [has('lead-xlr', 'adapter-8-pin-usb', 'charger-8-pin|lead-usb-a-8-pin|lead-usb-c-8-pin')],
  },
  {
    name: 'a dynamic microphone to a headset jack: mobile interface, or the bare lead where it is loud enough',
    from: ['dynamic-xlr'],
    to: [['phone-ctia', 'camera-app']],
    answers: [only('mobile-voice|mobile-preamp', 'lead-xlr'), only('lead-xlr-trrs')],
  },
  {
    name: 'a guitar to a headset jack: the guitar’s mobile interface',
    from: ['guitar'],
    to: [['phone-ctia', 'multitrack']],
    answers: [has('mobile-guitar', 'lead-jack-ts')],
    never: ['mobile-voice', 'mobile-preamp'],
  },
  {
    name: 'a guitar to a USB-C tablet: a small interface on its instrument input',
    from: ['guitar'],
    to: [['tablet-usb-c', 'multitrack']],
    answers: [
      only('interface-small', 'lead-jack-ts'),
      only('mobile-guitar', 'lead-jack-ts', 'dongle-usb-c-headset'),
    ],
  },
  {
    name: 'guitar and voice on two tracks of an 8-pin tablet: interface with two inputs and a supply',
    from: ['guitar', 'dynamic-xlr'],
    to: [['tablet-8-pin', 'multitrack']],
    wishes: { channels: 'apart' },
    answers: [
      has(
        'interface-two-inputs|interface-two-inputs-usb-b|interface-two-inputs-mains',
        'adapter-8-pin-usb|adapter-8-pin-usb-bare',
        'lead-jack-ts',
        'lead-xlr',
      ),
    ],
  },
  {
    name: 'a stereo keyboard into a USB-C phone',
    from: ['keyboard'],
    to: [['phone-usb-c', 'recorder-app']],
    wishes: { channels: 'stereo' },
    answers: [
      has('line-streamer', 'lead-jack-rca'),
      has(
        'interface-two-inputs|interface-two-inputs-usb-b|interface-two-inputs-mains',
        'lead-jack-ts|lead-jack-trs',
      ),
      has('lead-line-pair-stereo', 'cable-converter-usb-c'),
    ],
  },
  {
    name: 'a record deck into a USB-C phone, stereo: the line streamer and two RCA leads',
    from: ['deck'],
    to: [['phone-usb-c', 'recorder-app']],
    wishes: { channels: 'stereo' },
    answers: [has('line-streamer', 'lead-rca')],
  },
  {
    name: 'a condenser into a laptop: an interface',
    from: ['condenser-xlr'],
    to: [['laptop-combo', 'browser-studio']],
    answers: [only('interface-small|interface-one-input', 'lead-xlr')],
  },
  {
    name: 'a budget that just suffices',
    from: ['condenser-xlr'],
    to: [['tablet-usb-c', 'recorder-app']],
    wishes: { budget: 72 },
    answers: [only('interface-small', 'lead-xlr')],
  },
  {
    name: 'a TRS receiver on a USB-C phone that charges: a dongle with a charging socket, and the charger',
    from: ['receiver-trs'],
    to: [['phone-usb-c', 'camera-app']],
    wishes: { charge: true },
    answers: [has('patch-trs-trrs', 'dongle-usb-c-charge', CHARGER)],
  },
  {
    name: 'a TRS receiver on an 8-pin phone that charges: host adapter, small sound device, charger',
    from: ['receiver-trs'],
    to: [['phone-8-pin', 'recorder-app']],
    wishes: { charge: true },
    answers: [
      has(
        'adapter-8-pin-usb',
        'usb-sound-trs|usb-sound-trrs',
        'charger-8-pin|lead-usb-a-8-pin|lead-usb-c-8-pin',
      ),
    ],
  },
  {
    name: 'a phone with a jack and a port of its own charges by the port',
    from: ['receiver-trs'],
    to: [['phone-jack-usb-c', 'camera-app']],
    wishes: { charge: true },
    answers: [only('patch-trs-trrs', CHARGER)],
  },
  // From here on: asked as held-out requests first, and then found wrong or slow.
  {
    name: 'a USB microphone for calls on a laptop: its USB lead, and the headphones in the microphone',
    from: ['usb-mic-low-phones'],
    to: [['laptop-combo', 'video-call']],
    wishes: { hear: true },
    answers: [has('lead-usb-c-c', 'headphones-trs'), has('lead-usb-a-c', 'headphones-trs')],
  },
];
