import { describe } from 'vitest';
import type { RigSketch } from '../../../testing/lay-rig';
import { testTwins, type Twins } from '../../../testing/twins';

/** A pack in a live stream, its guests heard in headphones on the phone, whose volume stands somewhere. */
const heardOnPhone = (volume: number): RigSketch => ({
  parts: {
    receiver: 'receiver-trs',
    lead: 'lead-trs-trs',
    splitter: 'splitter-trs',
    ears: 'headphones-trs',
    phone: 'phone-ctia',
  },
  joints: [
    'receiver.out lead.a',
    'lead.b splitter.mic',
    'ears.plug splitter.phones',
    'splitter.plug phone.jack',
  ],
  settings: { phone: { volume } },
  apps: { phone: 'live-stream' },
});

/** A microphone in an interface on a tablet, with headphones somewhere. */
const listening = (ears: string, at: string, app = 'recorder-app'): RigSketch => ({
  parts: {
    mic: 'dynamic-xlr',
    interface: 'interface-one-input',
    ears,
    computer: 'laptop-combo',
  },
  joints: ['mic.out interface.mic', 'interface.usb computer.usb-c', `ears.plug ${at}`],
  settings: { interface: { gain: 46 } },
  apps: { computer: app },
});

const callIn = (fx: number): RigSketch => ({
  parts: {
    mic: 'dynamic-xlr',
    mixer: 'mixer-aux-fx',
    lead: 'lead-line-headset-pad',
    splitter: 'splitter-trrs',
    back: 'lead-breakout-jacks',
    phone: 'phone-ctia',
  },
  joints: [
    'mic.out mixer.mic-1',
    'lead.big mixer.aux',
    'lead.trrs splitter.mic',
    'splitter.plug phone.jack',
    'back.small splitter.phones',
    'back.left mixer.pair-2-left',
    'back.right mixer.pair-2-right',
  ],
  settings: { mixer: { 'gain-1': 60, 'aux-mic-1': 0, 'aux-pair-2': fx } },
  apps: { phone: 'voice-room' },
});

const RETURNS: readonly Twins[] = [
  {
    name: 'nothing in the computer’s own headphones: playback moved to the interface',
    code: 'playback-moved',
    faulty: listening('headphones-trs', 'computer.jack'),
    clean: listening('headphones-big', 'interface.phones'),
  },
  {
    name: 'a caller hears himself: own channel in his own send',
    code: 'playback-returns',
    faulty: callIn(0),
    clean: callIn(-60),
  },
  {
    name: 'guests not heard: the phone’s volume is all the way down',
    code: 'guests-not-heard',
    faulty: heardOnPhone(-60),
    clean: heardOnPhone(-20),
  },
  {
    name: 'guests not heard: headphones in the mixer, ahead of the phone',
    code: 'guests-not-heard',
    faulty: {
      parts: {
        mic: 'dynamic-xlr',
        mixer: 'mixer-one-mic',
        ears: 'headphones-big',
        lead: 'lead-line-headset-pad',
        phone: 'phone-ctia',
      },
      joints: ['mic.out mixer.mic', 'ears.plug mixer.phones', 'mixer.left lead.big', 'lead.trrs phone.jack'],
      settings: { mixer: { gain: 40 } },
      apps: { phone: 'live-stream' },
    },
    clean: {
      parts: {
        mic: 'dynamic-xlr',
        mixer: 'mixer-one-mic',
        ears: 'headphones-trs',
        lead: 'lead-line-headset-pad',
        splitter: 'splitter-trrs',
        phone: 'phone-ctia',
      },
      joints: [
        'mic.out mixer.mic',
        'mixer.left lead.big',
        'lead.trrs splitter.mic',
        'ears.plug splitter.phones',
        'splitter.plug phone.jack',
      ],
      settings: { mixer: { gain: 40 } },
      apps: { phone: 'live-stream' },
    },
  },
];

describe('who hears whom', () => testTwins(RETURNS));
