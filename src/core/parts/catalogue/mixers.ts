import {
  BALANCED_ROLES,
  balancedOutput,
  knob,
  microphoneInput,
  onOff,
  ontoBalanced,
  phonesOut,
  portWith,
  stereoOutput,
  xlrIn,
} from '../model/builders';
import type { Part } from '../model/types.generated';
import { mixerPart } from './mixer-part';

const lineOutput = (id: string, name: string) =>
  portWith([id, name, 'trs-6.35'], 'jack', 'out', BALANCED_ROLES);

/** A channel panned to the middle reaches either side 3 dB down: constant-power pan, typical. */
const PAN_LAW = -3;
const channel = [{ knob: 'gain' }, { knob: 'fader' }, PAN_LAW] as const;

export const MIXERS: readonly Part[] = [
  {
    id: 'mixer-one-mic',
    mains: { class: 'insulated' },
    name: 'Mixer, one microphone channel',
    family: 'mixer',
    stands: 'table',
    summary: 'XLR input with 48 V, gain and fader; balanced line outputs left and right, headphones',
    price: 140,
    ports: [
      xlrIn('mic', 'XLR input'),
      lineOutput('left', 'main output left'),
      lineOutput('right', 'main output right'),
      phonesOut('trs-6.35'),
    ],
    settings: [
      onOff('phantom', '48 V', 'off'),
      knob('gain', 'Gain', 0, 60, 40),
      knob('fader', 'Fader', -60, 10, 0),
      knob('phones', 'Headphones', -60, 10, -10),
    ],
    circuit: [
      ...microphoneInput('mic', 'phantom', 'in'),
      ...balancedOutput('left', 'main-left'),
      ...balancedOutput('right', 'main-right'),
      ...stereoOutput('phones', ['phones-left', 'phones-right'], 33, 6),
      { kind: 'wire', a: 'phones.S', b: 'ground' },
      { kind: 'wire', a: 'mic.1', b: 'ground' },
    ],
    paths: [
      ...ontoBalanced('in', 'main-left', channel),
      ...ontoBalanced('in', 'main-right', channel),
      { from: 'in', to: 'phones-left', gain: [...channel, { knob: 'phones' }] },
      { from: 'in', to: 'phones-right', gain: [...channel, { knob: 'phones' }] },
    ],
  },
  mixerPart({
    id: 'mixer-fx-usb',
    insulated: true,
    name: 'Mixer, one FX send, USB',
    summary: 'two microphones, two line pairs; its only send may leave reverb live; stereo over USB',
    price: 130,
    mics: 2,
    pairs: 2,
    sends: [{ id: 'fx', name: 'FX send', pre: false }],
    usb: { connector: 'usb-b' },
  }),
  mixerPart({
    id: 'mixer-monitor-fx',
    name: 'Mixer, monitor and FX sends',
    summary: 'two microphones, two line pairs; a pre-fader monitor send and a post-fader FX send',
    price: 170,
    mics: 2,
    pairs: 2,
    sends: [
      { id: 'mon', name: 'Monitor send', pre: true },
      { id: 'fx', name: 'FX send', pre: false },
    ],
    monitor: true,
  }),
  mixerPart({
    id: 'mixer-aux-fx',
    name: 'Mixer, aux and FX sends',
    summary: 'four microphones, two line pairs; two sends, so two callers',
    price: 220,
    mics: 4,
    pairs: 2,
    sends: [
      { id: 'aux', name: 'Aux send', pre: true },
      { id: 'fx', name: 'FX send', pre: false },
    ],
    tape: true,
  }),
  mixerPart({
    id: 'mixer-large',
    name: 'Mixer, large analogue, no USB',
    summary: 'six microphones, two line pairs, two aux sends, monitor output; heavy, mains only',
    price: 450,
    mics: 6,
    pairs: 2,
    sends: [
      { id: 'aux-1', name: 'Aux 1', pre: true },
      { id: 'aux-2', name: 'Aux 2', pre: false },
    ],
    monitor: true,
    tape: true,
  }),
  mixerPart({
    id: 'mixer-xlr-main',
    name: 'Mixer, XLR main outputs',
    summary: 'four microphones, two line pairs; the mix leaves by XLR pins, at line level',
    price: 260,
    mics: 4,
    pairs: 2,
    sends: [{ id: 'aux', name: 'Aux send', pre: true }],
    main: 'xlr',
  }),
  mixerPart({
    id: 'mixer-rca-only',
    insulated: true,
    name: 'Small mixer, RCA outputs only',
    summary: 'two microphones, one line pair; the mix leaves by RCA, unbalanced',
    price: 80,
    mics: 2,
    pairs: 1,
    sends: [],
    tape: true,
    main: 'rca',
  }),
  mixerPart({
    id: 'mixer-portable-phone',
    insulated: true,
    name: 'Portable mixer with phone socket',
    summary:
      'two microphones and a headset socket that makes the mix-minus by itself; a sunk switch forgets it',
    price: 350,
    mics: 2,
    pairs: 0,
    sends: [],
    usb: { connector: 'usb-c' },
    phone: true,
  }),
];
