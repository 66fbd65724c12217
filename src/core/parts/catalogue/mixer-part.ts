import { dbV } from '../../units';
import {
  BALANCED_ROLES,
  MONO_ROLES,
  balancedOutput,
  jackIn,
  inGroup,
  jackInput,
  knob,
  microphoneInput,
  onOff,
  ontoBalanced,
  phonesOut,
  playbackInto,
  portWith,
  stereoOutput,
  usbPort,
  when,
  xlrIn,
  XLR_ROLES,
  oneOf,
} from '../model/builders';
import type {
  CircuitElement,
  GainPath,
  Part,
  PartPort,
  PartSetting,
  Quantity,
} from '../model/types.generated';

/** A channel panned to the middle reaches either side 3 dB down, hard over one side in full: constant-power pan, typical. */
const panTo = (id: string, side: 'left' | 'right'): Quantity => ({
  setting: `pan-${id}`,
  values: {
    left: side === 'left' ? 0 : -Infinity,
    middle: -3,
    right: side === 'right' ? 0 : -Infinity,
  },
});
const panSwitch = (id: string, name: string): PartSetting =>
  inGroup(name, {
    kind: 'switch',
    id: `pan-${id}`,
    name: 'pan',
    options: [
      { id: 'left', name: 'left' },
      { id: 'middle', name: 'middle' },
      { id: 'right', name: 'right' },
    ],
    initial: 'middle',
  });
const SIDES = ['left', 'right'] as const;

/** A send of a mixer: an output that each channel feeds by a knob of its own. */
export interface SendPlan {
  readonly id: string;
  readonly name: string;
  /** A pre-fader send does not follow the channel's fader. */
  readonly pre: boolean;
}

export interface MixerPlan {
  readonly id: string;
  readonly name: string;
  readonly summary: string;
  readonly price: number;
  readonly mics: number;
  /** Stereo line pairs; by habit the last is the caller's. */
  readonly pairs: number;
  readonly sends: readonly SendPlan[];
  readonly usb?: { readonly connector: 'usb-b' | 'usb-c' };
  /** A control-room or monitor output pair with a level of its own. */
  readonly monitor?: boolean;
  /** A headset socket for a phone: the phone's sound in, the mix without it out. */
  readonly phone?: boolean;
  /** Outputs are RCA sockets too. */
  readonly tape?: boolean;
  /** A unit in the lead or of two pins; most have an earthed mains lead. */
  readonly insulated?: boolean;
  /** What the main outputs are; 6.35 mm sockets where absent. `rca`: the mix leaves by RCA alone. */
  readonly main?: 'xlr' | 'rca';
}

interface Channel {
  readonly ports: readonly PartPort[];
  readonly settings: readonly PartSetting[];
  readonly circuit: readonly CircuitElement[];
  /** Senses of the left and right side (the same twice for a mono channel), gain up to the fader, fader and switch. */
  readonly from: readonly [string, string];
  readonly head: readonly Quantity[];
  readonly fader: readonly Quantity[];
  /** Only a mono channel is panned; sends are taken ahead of that. */
  readonly pans: boolean;
  readonly id: string;
}

const strip = (id: string, name: string, plan: MixerPlan): PartSetting[] => [
  inGroup(name, knob(`fader-${id}`, 'fader', -60, 10, 0)),
  inGroup(name, onOff(`on-${id}`, 'channel', 'on')),
  ...plan.sends.map((send) => inGroup(name, knob(`${send.id}-${id}`, send.name, -60, 10, -60))),
];

const faderOf = (id: string): Quantity[] => [{ knob: `fader-${id}` }, when(`on-${id}`)];

function micChannel(n: number, plan: MixerPlan): Channel {
  const id = `mic-${n}`;
  return {
    id,
    ports: [oneOf('microphone', xlrIn(id, `microphone input ${n}`))],
    settings: [
      inGroup(`Microphone ${n}`, knob(`gain-${n}`, 'gain', 0, 60, 36)),
      panSwitch(id, `Microphone ${n}`),
      ...strip(id, `Microphone ${n}`, plan),
    ],
    circuit: [...microphoneInput(id, 'phantom', `${id}-in`), { kind: 'wire', a: `${id}.1`, b: 'ground' }],
    from: [`${id}-in`, `${id}-in`],
    head: [{ knob: `gain-${n}` }],
    fader: faderOf(id),
    pans: true,
  };
}

function pairChannel(n: number, plan: MixerPlan): Channel {
  const id = `pair-${n}`;
  return {
    id,
    ports: SIDES.map((side) => oneOf(`line-${side}`, jackIn(`${id}-${side}`, `line input ${n} ${side}`))),
    settings: strip(id, `Line pair ${n}`, plan),
    circuit: SIDES.flatMap((side) => jackInput(`${id}-${side}`, `${id}-${side}-in`)),
    from: [`${id}-left-in`, `${id}-right-in`],
    head: [],
    fader: faderOf(id),
    pans: false,
  };
}

/** The host's playback, on a channel of its own. */
const usbChannel = (plan: MixerPlan): Channel => ({
  id: 'usb',
  ports: [],
  settings: strip('usb', 'USB return', plan),
  circuit: playbackInto(0),
  from: ['play-left', 'play-right'],
  head: [],
  fader: faderOf('usb'),
  pans: false,
});

/** The caller on the phone socket; the switch between microphone and phone is sunk and easily forgotten. */
const phoneChannel = (plan: MixerPlan): Channel => ({
  id: 'phone',
  ports: [
    portWith(['phone', 'phone socket', 'trrs-3.5'], 'jack', 'both', {
      T: 'left',
      R1: 'right',
      R2: 'ground',
      S: 'microphone',
    }),
  ],
  settings: [
    ...strip('phone', 'Phone', plan),
    inGroup('Phone', onOff('phone-switch', 'switch at phone, not microphone', 'on')),
  ],
  circuit: [
    { kind: 'wire', a: 'phone.R2', b: 'ground' },
    { kind: 'sense', id: 'phone-left', a: 'phone.T', b: 'ground', ohms: 600, noise: -110 },
    { kind: 'sense', id: 'phone-right', a: 'phone.R1', b: 'ground', ohms: 600, noise: -110 },
    // To the phone's microphone contact: blocked, 40 dB down, 1.8 kΩ to ground as a phone wants it. Typical.
    { kind: 'drive', id: 'minus', a: 'minus', b: 'ground', ohms: 100, clip: 13.8 },
    { kind: 'capacitor', a: 'minus', b: 'blocked', farads: 10e-6 },
    { kind: 'resistor', a: 'blocked', b: 'phone.S', ohms: 100_000 },
    { kind: 'resistor', a: 'phone.S', b: 'ground', ohms: 1800 },
  ],
  from: ['phone-left', 'phone-right'],
  head: [],
  fader: [...faderOf('phone'), when('phone-switch')],
  pans: false,
});

const sendOutput = (send: SendPlan): PartPort =>
  portWith([send.id, `${send.name} output`, 'trs-6.35'], 'jack', 'out', BALANCED_ROLES);

/** Paths of a channel to the main mix, the sends and whatever else follows the mix. */
function pathsOf(channel: Channel, plan: MixerPlan): GainPath[] {
  const own = [...channel.head, ...channel.fader];
  return SIDES.flatMap((side, index): GainPath[] => {
    const from = channel.from[index] ?? '';
    const panned = channel.pans ? [...own, panTo(channel.id, side)] : own;
    const mix: GainPath[] = [
      ...(plan.main === 'rca' ? [] : ontoBalanced(from, `main-${side}`, panned)),
      { from, to: `phones-${side}`, gain: [...panned, { knob: 'phones' }] },
      ...(plan.monitor ? ontoBalanced(from, `monitor-${side}`, [...panned, { knob: 'monitor' }]) : []),
      ...(plan.tape ? [{ from, to: `tape-${side}`, gain: [...panned, -12] }] : []),
      // The host does not get its own playback back.
      ...(plan.usb && channel.id !== 'usb' ? [{ from, to: `usb-${side}`, gain: panned }] : []),
    ];
    // A mono channel feeds a send once, a pair with half of either side.
    const half = channel.from[0] === channel.from[1] ? 0 : -6.02;
    const alone = half === 0 && side === 'right';
    const sends = alone
      ? []
      : plan.sends.flatMap((send) =>
          ontoBalanced(from, `${send.id}-out`, [
            ...(send.pre ? channel.head : own),
            { knob: `${send.id}-${channel.id}` },
            half,
          ]),
        );
    const minus: GainPath[] =
      plan.phone && channel.id !== 'phone' && !alone ? [{ from, to: 'minus', gain: [...own, half] }] : [];
    return [...mix, ...sends, ...minus];
  });
}

const usbPortOf = (plan: MixerPlan): PartPort[] =>
  plan.usb
    ? [
        usbPort(
          'usb',
          plan.usb.connector === 'usb-b' ? 'USB-B socket' : 'USB-C socket',
          plan.usb.connector,
          'jack',
        ),
      ]
    : [];

const usbCircuit: CircuitElement[] = SIDES.map((side) => ({
  kind: 'drive',
  id: `usb-${side}`,
  a: `adc-${side}`,
  b: 'ground',
  ohms: 100,
  clip: 30,
}));

const pairOf = (id: string, name: string): PartPort[] =>
  SIDES.map((side) =>
    portWith([`${id}-${side}`, `${name} ${side}`, 'trs-6.35'], 'jack', 'out', BALANCED_ROLES),
  );

/** Main outputs: balanced on 6.35 mm or XLR; none of their own where the mix leaves by RCA. */
function mainPorts({ main }: MixerPlan): PartPort[] {
  if (main === 'rca') return [];
  if (main !== 'xlr') return pairOf('main', 'main output');
  return SIDES.map((side) =>
    portWith([`main-${side}`, `main output ${side}`, 'xlr-3'], 'plug', 'out', XLR_ROLES),
  );
}

/** The same two drives on the pins of an XLR. */
const xlrMain = (side: string): CircuitElement[] => [
  { kind: 'drive', id: `main-${side}-hot`, a: `main-${side}.2`, b: `main-${side}.1`, ohms: 75, clip: 13.8 },
  { kind: 'drive', id: `main-${side}-cold`, a: `main-${side}.3`, b: `main-${side}.1`, ohms: 75, clip: 13.8 },
  { kind: 'wire', a: `main-${side}.1`, b: 'ground' },
];

const mainCircuit = ({ main }: MixerPlan): CircuitElement[] =>
  main === 'rca'
    ? []
    : SIDES.flatMap((side) =>
        main === 'xlr' ? xlrMain(side) : balancedOutput(`main-${side}`, `main-${side}`),
      );

const outputPorts = (plan: MixerPlan): PartPort[] => [
  ...mainPorts(plan),
  ...(plan.monitor ? pairOf('monitor', 'monitor output') : []),
  ...plan.sends.map(sendOutput),
  ...(plan.tape
    ? SIDES.map((side) => portWith([`tape-${side}`, `RCA output ${side}`, 'rca'], 'jack', 'out', MONO_ROLES))
    : []),
  ...usbPortOf(plan),
  phonesOut('trs-6.35'),
];

const tapeCircuit: CircuitElement[] = SIDES.flatMap((side): CircuitElement[] => [
  { kind: 'drive', id: `tape-${side}`, a: `tape-${side}.T`, b: `tape-${side}.S`, ohms: 470, clip: 8 },
  { kind: 'wire', a: `tape-${side}.S`, b: 'ground' },
]);

const outputCircuit = (plan: MixerPlan): CircuitElement[] => [
  ...mainCircuit(plan),
  ...(plan.monitor ? SIDES.flatMap((side) => balancedOutput(`monitor-${side}`, `monitor-${side}`)) : []),
  ...plan.sends.flatMap((send) => balancedOutput(send.id, `${send.id}-out`)),
  ...(plan.tape ? tapeCircuit : []),
  ...(plan.usb ? usbCircuit : []),
  ...stereoOutput('phones', ['phones-left', 'phones-right'], 33, 6),
  { kind: 'wire', a: 'phones.S', b: 'ground' },
];

/** The main mix over USB. Its own mains supply asks nothing of the host. */
const usbDevice: Pick<Part, 'captures' | 'bus'> = {
  captures: [
    {
      id: 'usb',
      name: 'USB, main mix',
      port: 'usb',
      channels: SIDES.map((side) => ({ side, plus: `adc-${side}`, minus: 'ground' })),
      // Main mix at +4 dBu is about −15 dBFS: typical.
      fullScale: dbV(17),
      noise: dbV(-88),
    },
  ],
  bus: {
    port: 'usb',
    registersAs: 'audio',
    authenticated: false,
    draw: 0,
    captures: ['usb'],
    plays: true,
  },
};

/** A mixer as a part: channels with gain, fader and switch; sends; main, headphone and USB outputs. Figures typical. */
export function mixerPart(plan: MixerPlan): Part {
  const channels = [
    ...Array.from({ length: plan.mics }, (_, i) => micChannel(i + 1, plan)),
    ...Array.from({ length: plan.pairs }, (_, i) => pairChannel(i + 1, plan)),
    ...(plan.usb ? [usbChannel(plan)] : []),
    ...(plan.phone ? [phoneChannel(plan)] : []),
  ];
  return {
    id: plan.id,
    name: plan.name,
    family: 'mixer',
    stands: 'table',
    summary: plan.summary,
    price: plan.price,
    ports: [...channels.flatMap((c) => c.ports), ...outputPorts(plan)],
    settings: [
      onOff('phantom', '48 V', 'off'),
      ...channels.flatMap((c) => c.settings),
      knob('phones', 'Headphones', -60, 10, -10),
      ...(plan.monitor ? [knob('monitor', 'Monitor output', -60, 10, -10)] : []),
      onOff('mains', 'Mains', 'on'),
    ],
    power: [{ setting: 'mains', is: 'on' }],
    mains: { class: plan.insulated ? 'insulated' : 'earthed', on: { setting: 'mains', is: 'on' } },
    circuit: [...channels.flatMap((c) => c.circuit), ...outputCircuit(plan)],
    paths: channels.flatMap((channel) => pathsOf(channel, plan)),
    ...(plan.usb && usbDevice),
  };
}
