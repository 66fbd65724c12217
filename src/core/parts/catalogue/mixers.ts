import { STEREO_ROLES, XLR_ROLES, knob, microphoneInput, onOff, stereoOutput } from '../builders';
import type { CircuitElement, GainPath, Part, PartPort } from '../types';

const lineOutput = (id: string, name: string): PartPort => ({
  id,
  name,
  connector: 'trs-6.35',
  gender: 'jack',
  direction: 'out',
  roles: { T: 'hot', R: 'cold', S: 'ground' },
});

/** A balanced line output: two drives of opposite polarity, 75 Ω a leg, +22 dBu at most. Typical. */
const balanced = (port: string, id: string): CircuitElement[] => [
  { kind: 'drive', id: `${id}-hot`, a: `${port}.T`, b: `${port}.S`, ohms: 75, clip: 13.8 },
  { kind: 'drive', id: `${id}-cold`, a: `${port}.R`, b: `${port}.S`, ohms: 75, clip: 13.8 },
  { kind: 'wire', a: `${port}.S`, b: 'ground' },
];

/** Half the voltage on each leg, one of them inverted: hot to cold is the whole. */
const onto = (from: string, id: string, gain: GainPath['gain']): GainPath[] => [
  { from, to: `${id}-hot`, gain: [...gain, -6.02] },
  { from, to: `${id}-cold`, gain: [...gain, -6.02], inverts: true },
];

/** A channel panned to the middle reaches either side 3 dB down: constant-power pan, typical. */
const PAN_LAW = -3;

const channel = [{ knob: 'gain' }, { knob: 'fader' }, PAN_LAW] as const;

export const MIXERS: readonly Part[] = [
  {
    id: 'mixer-one-mic',
    name: 'Mixer, one microphone channel',
    family: 'mixer',
    summary: 'XLR input with 48 V, gain and fader; balanced line outputs left and right, headphones',
    price: 140,
    ports: [
      { id: 'mic', name: 'XLR input', connector: 'xlr-3', gender: 'jack', direction: 'in', roles: XLR_ROLES },
      lineOutput('left', 'main output left'),
      lineOutput('right', 'main output right'),
      {
        id: 'phones',
        name: 'headphone socket',
        connector: 'trs-6.35',
        gender: 'jack',
        direction: 'out',
        roles: STEREO_ROLES,
      },
    ],
    settings: [
      onOff('phantom', '48 V', 'off'),
      knob('gain', 'Gain', 0, 60, 40),
      knob('fader', 'Fader', -60, 10, 0),
      knob('phones', 'Headphones', -60, 10, -10),
    ],
    circuit: [
      ...microphoneInput('mic', 'phantom', 'in'),
      ...balanced('left', 'main-left'),
      ...balanced('right', 'main-right'),
      ...stereoOutput('phones', ['phones-left', 'phones-right'], 33, 6),
      { kind: 'wire', a: 'phones.S', b: 'ground' },
      { kind: 'wire', a: 'mic.1', b: 'ground' },
    ],
    paths: [
      ...onto('in', 'main-left', channel),
      ...onto('in', 'main-right', channel),
      { from: 'in', to: 'phones-left', gain: [...channel, { knob: 'phones' }] },
      { from: 'in', to: 'phones-right', gain: [...channel, { knob: 'phones' }] },
    ],
  },
];
