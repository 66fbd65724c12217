import { dbV, dbVPerPa, ohms, volts } from '../../units';
import { STEREO_ROLES, onOff, portWith } from '../model/builders';
import type { MaximumKind } from '../model/types.generated';
import type { CircuitElement, Ear, Part, PartPort } from '../model/types.generated';

/** Clip-on electret with plug-in power, two wires. Typical: −42 dBV/Pa across 2.2 kΩ, 1.6 kΩ at direct current. */
const capsule = (drain: string, source: string, sensitivity = -42): CircuitElement => ({
  kind: 'electret',
  id: 'capsule',
  a: drain,
  b: source,
  sensitivity: dbVPerPa(sensitivity),
  noise: dbV(-108),
  ratedLoad: ohms(2200),
  dcResistance: ohms(1600),
  acResistance: ohms(20_000),
  // With less than about a volt it gives less, and works down to half of one: typical, from memory.
  minimumBias: volts(0.5),
});

/** Earpiece impedance, at direct current too. Typical. */
const earpiece = (contact: string, ground: string): CircuitElement => ({
  kind: 'resistor',
  a: contact,
  b: ground,
  ohms: 32,
});
const ears = (left: string, right: string, ground: string): Ear[] => [
  { side: 'left', plus: left, minus: ground },
  { side: 'right', plus: right, minus: ground },
];
const trrsPlug = (direction: PartPort['direction'], roles: PartPort['roles']) =>
  portWith(['plug', 'plug', 'trrs-3.5'], 'plug', direction, roles, 'electret');
const trsPlug = (roles: PartPort['roles'], bears: MaximumKind = 'electret') =>
  portWith(['plug', 'plug', 'trs-3.5'], 'plug', 'out', roles, bears);

/** A headset: two earpieces and a capsule, microphone and ground where its wiring has them. */
const headset = (id: string, name: string, summary: string, ground: 'R2' | 'S'): Part => {
  const microphone = ground === 'R2' ? 'S' : 'R2';
  return {
    id,
    name,
    family: 'headphones',
    stands: 'worn',
    summary,
    price: 15,
    ports: [trrsPlug('both', { T: 'left', R1: 'right', [ground]: 'ground', [microphone]: 'microphone' })],
    circuit: [
      capsule(`plug.${microphone}`, `plug.${ground}`),
      earpiece('plug.T', `plug.${ground}`),
      earpiece('plug.R1', `plug.${ground}`),
    ],
    ears: ears('plug.T', 'plug.R1', `plug.${ground}`),
  };
};

const headphones = (id: string, name: string, connector: 'trs-3.5' | 'trs-6.35'): Part => ({
  id,
  name,
  family: 'headphones',
  stands: 'worn',
  summary: 'two earpieces, no microphone',
  price: 25,
  ports: [portWith(['plug', 'plug', connector], 'plug', 'in', STEREO_ROLES, 'earpiece')],
  circuit: [earpiece('plug.T', 'plug.S'), earpiece('plug.R', 'plug.S')],
  ears: ears('plug.T', 'plug.R', 'plug.S'),
});

export const MICROPHONES: readonly Part[] = [
  {
    id: 'clip-on-trrs',
    stands: 'worn',
    name: 'Clip-on microphone, TRRS plug',
    family: 'microphone',
    summary: 'electret on a lead, wired for current (CTIA) headset jacks',
    price: 20,
    ports: [trrsPlug('out', { R2: 'ground', S: 'microphone' })],
    circuit: [capsule('plug.S', 'plug.R2')],
  },
  {
    id: 'clip-on-trs',
    stands: 'worn',
    name: 'Clip-on microphone, TRS plug',
    family: 'microphone',
    summary: 'electret on a lead, for packs and cameras with plug-in power',
    price: 20,
    ports: [trsPlug({ T: 'microphone', S: 'ground' })],
    circuit: [capsule('plug.T', 'plug.S'), { kind: 'wire', a: 'plug.T', b: 'plug.R' }],
  },
  {
    id: 'camera-top-pip',
    pattern: 'shotgun',
    name: 'Camera-top microphone, plug-in power',
    family: 'microphone',
    summary: 'short shotgun that takes its power from the camera',
    price: 60,
    ports: [trsPlug({ T: 'left', R: 'right', S: 'ground' })],
    circuit: [capsule('plug.T', 'plug.S', -38), { kind: 'wire', a: 'plug.T', b: 'plug.R' }],
  },
  {
    id: 'camera-top-self',
    pattern: 'shotgun',
    name: 'Camera-top microphone, self-powered',
    family: 'microphone',
    summary: 'own battery; a hot output that wants a low camera gain',
    price: 120,
    ports: [trsPlug({ T: 'left', R: 'right', S: 'ground' }, 'output')],
    settings: [
      {
        kind: 'switch',
        id: 'level',
        name: 'Level',
        options: [
          { id: 'pad', name: '−10 dB' },
          { id: 'normal', name: '0 dB' },
          { id: 'hot', name: '+20 dB' },
        ],
        initial: 'normal',
      },
      onOff('battery', 'Switched on, battery good', 'on'),
    ],
    power: [{ setting: 'battery', is: 'on' }],
    // One alkaline AA: 2,000 to 2,500 mAh at small loads, 1.25 V in the mean; it takes about 1 mA. Typical.
    battery: {
      cells: '1 AA',
      wattHours: { typical: 2.8, least: 2.5, most: 3.1 },
      milliwatts: { typical: 1.5, least: 0.7, most: 6 },
      on: { setting: 'battery', is: 'on' },
    },
    circuit: [
      {
        kind: 'signal',
        id: 'capsule',
        hears: 'voice',
        a: 'amp',
        b: 'plug.S',
        sensitivity: { setting: 'level', values: { pad: -46, normal: -36, hot: -16 } },
        noise: { setting: 'level', values: { pad: -118, normal: -112, hot: -94 } },
      },
      { kind: 'capacitor', a: 'amp', b: 'leg', farads: 10e-6 },
      { kind: 'resistor', a: 'leg', b: 'plug.T', ohms: 200 },
      { kind: 'wire', a: 'plug.T', b: 'plug.R' },
      { kind: 'resistor', a: 'plug.T', b: 'plug.S', ohms: 10_000 },
    ],
  },
  {
    id: 'camera-top-lead-off',
    pattern: 'shotgun',
    name: 'Camera-top microphone, lead comes off',
    family: 'microphone',
    summary: 'short shotgun on plug-in power; its own lead can be changed for one that fits elsewhere',
    price: 70,
    ports: [
      portWith(
        ['out', '3.5 mm socket', 'trs-3.5'],
        'jack',
        'out',
        { T: 'left', R: 'right', S: 'ground' },
        'electret',
      ),
    ],
    circuit: [capsule('out.T', 'out.S', -38), { kind: 'wire', a: 'out.T', b: 'out.R' }],
  },
  headset(
    'headset-ctia',
    'Wired headset, CTIA plug',
    'two earpieces and a microphone, wired for current headset jacks',
    'R2',
  ),
  headset('headset-omtp', 'Wired headset, OMTP plug', 'wired for older headset jacks', 'S'),
  headphones('headphones-trs', 'Headphones, TRS plug', 'trs-3.5'),
  headphones('headphones-big', 'Headphones, 6.35 mm plug', 'trs-6.35'),
];
