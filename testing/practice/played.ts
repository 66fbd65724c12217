import { has, only, type PracticeCase } from './case';

/** What is played into a phone or by it, and answers that a headset or a side suffices. Common practice. */
export const PLAYED: readonly PracticeCase[] = [
  {
    name: 'a singer and a player beside them, each on a track: the player’s two sides by a breakout lead',
    from: ['condenser-xlr', 'player-portable'],
    to: [['tablet-usb-c', 'multitrack']],
    wishes: { channels: 'apart' },
    answers: [
      has(
        'interface-two-inputs|interface-two-inputs-usb-b|interface-two-inputs-mains|interface-four-inputs',
        'lead-breakout-jacks',
        'lead-xlr',
      ),
    ],
  },
  {
    name: 'a call on a tablet by a headset: nothing but the dongle, for a headset is worn on the ears',
    from: ['headset-ctia'],
    to: [['tablet-usb-c', 'video-call']],
    wishes: { guests: true },
    answers: [only('dongle-usb-c-headset')],
  },
  {
    name: 'what a phone plays, over a mixer that is there: a breakout lead into a line pair',
    from: ['phone-ctia'],
    through: 'mixer-fx-usb',
    to: [['recorder-line']],
    answers: [has('lead-breakout-jacks')],
  },
  {
    name: 'a stereo keyboard into a camera: the pair lead and a pad',
    from: ['keyboard'],
    to: [['camera-trs']],
    wishes: { channels: 'stereo' },
    answers: [has('lead-line-pair-stereo|lead-breakout-jacks', 'pad-jack-40')],
  },
  {
    name: 'a tip-only receiver into a live stream by the headset jack: the patch cable, the jack is mono',
    from: ['receiver-tip-only'],
    to: [['phone-ctia', 'live-stream']],
    answers: [only('patch-trs-trrs')],
  },
  {
    name: 'two packs, a track each, on a USB-C phone: the receiver that plugs in',
    from: ['pack-clip-on', 'pack-clip-on'],
    to: [['phone-usb-c', 'recorder-app']],
    wishes: { channels: 'apart' },
    answers: [only('receiver-two-channel-usb')],
  },
  // From here on: asked as held-out requests first, and then found wrong or slow.
  {
    name: 'a phone plays into a rack recorder, stereo: a breakout lead, a plug in each input',
    from: ['phone-ctia'],
    to: [['recorder-line']],
    wishes: { channels: 'stereo' },
    answers: [only('lead-breakout-jacks')],
  },
  {
    name: 'a record deck to an 8-pin phone, stereo: a line streamer or a converter cable, behind the RCA lead',
    from: ['deck'],
    to: [['phone-8-pin', 'recorder-app']],
    wishes: { channels: 'stereo' },
    answers: [has('lead-rca-pair-trs', 'cable-converter-8-pin'), has('line-streamer')],
  },
  {
    name: 'what a phone plays into a USB-C tablet, stereo: the converter cable, the volume turned down',
    from: ['phone-ctia'],
    to: [['tablet-usb-c', 'recorder-app']],
    wishes: { channels: 'stereo' },
    answers: [only('cable-converter-usb-c')],
  },
  {
    name: 'what a USB-C phone plays by its dongle into a laptop’s headset jack: by a pad, never output on output',
    from: ['phone-usb-c'],
    to: [['laptop-combo', 'recorder-app']],
    // The breakout lead has the pad in it, as between a laptop and a phone; it keeps the right side, which a plug with one band shorts.
    answers: [has('lead-line-headset-pad'), has('lead-breakout-headset')],
    never: ['lead-trrs-trrs'],
  },
  {
    name: 'a clip-on into a desktop’s microphone socket: straight in, with its boost',
    from: ['clip-on-trs'],
    to: [['computer-separate', 'video-call']],
    answers: [only()],
  },
  {
    name: 'a dynamic microphone into a pocket recorder: the lead with the small plug, its level up',
    from: ['dynamic-xlr-switch'],
    to: [['recorder-small']],
    answers: [only('lead-xlr-trs-camera')],
  },
  {
    name: 'a phone’s backing track and a guitar mixed on a USB-C tablet: a mixer with USB, a DI box for the guitar',
    from: ['phone-ctia', 'guitar'],
    to: [['tablet-usb-c', 'recorder-app']],
    wishes: { channels: 'mixed' },
    answers: [has('mixer-fx-usb', 'di-passive|di-active')],
  },
  {
    name: 'two guitars mixed on a USB-C phone: a mixer with USB, a DI box each',
    from: ['guitar', 'guitar'],
    to: [['phone-usb-c', 'recorder-app']],
    wishes: { channels: 'mixed' },
    answers: [has('mixer-fx-usb', 'di-passive|di-active')],
  },
  {
    name: 'a keyboard in stereo to a laptop and a camera at once: shared out by a splitter, or by a box with both sides in and out',
    from: ['keyboard'],
    to: [['laptop-combo', 'recorder-app'], ['camera-trs']],
    wishes: { channels: 'stereo' },
    answers: [
      has('splitter-headphones', 'pad-jack-40'),
      has('line-streamer', 'lead-trs-trs'),
      has('mixer-fx-usb|mixer-rca-only|interface-two-inputs'),
    ],
  },
  {
    name: 'a call on an 8-pin phone and a voice into a camera: a small mixer, the phone by its headset dongle',
    from: ['phone-8-pin', 'dynamic-xlr'],
    to: [['camera-trs']],
    wishes: { channels: 'mono' },
    answers: [has('mixer-rca-only', 'dongle-8-pin-headset', 'lead-breakout-jacks', 'lead-xlr')],
  },
  {
    name: 'two packs, for a camera and a phone at once: a receiver for two, a splitter at its output, a lead to each',
    from: ['pack-clip-on', 'pack-clip-on'],
    to: [['camera-trs'], ['phone-ctia', 'live-stream']],
    answers: [has('receiver-two-channel', 'splitter-headphones', 'patch-trs-trrs')],
  },
  {
    name: 'two packs, live on two phones at once without guests: a receiver for two, a splitter, a patch cable to each',
    from: ['pack-clip-on', 'pack-clip-on'],
    to: [
      ['phone-ctia', 'live-stream'],
      ['phone-usb-c', 'live-stream'],
    ],
    answers: [has('receiver-two-channel', 'splitter-headphones', 'patch-trs-trrs', 'dongle-usb-c-headset')],
  },
  {
    name: 'a portable player into a headset jack, mono: by what pads it, not by its volume alone',
    from: ['player-portable'],
    to: [['phone-ctia', 'recorder-app']],
    wishes: { channels: 'mono' },
    answers: [has('lead-breakout-headset|lead-line-headset-pad')],
  },
  {
    name: 'a tablet’s backing track and a voice over a mixer that is there, live on an 8-pin phone: a breakout lead into a line pair',
    from: ['tablet-usb-c', 'dynamic-xlr'],
    through: 'mixer-fx-usb',
    to: [['phone-8-pin', 'live-stream']],
    wishes: { channels: 'mixed' },
    answers: [has('lead-breakout-jacks', 'lead-xlr')],
    never: ['lead-line-mono-both'],
  },
];
