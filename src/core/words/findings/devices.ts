import type { Finding } from '../../checks';
import type { Rig } from '../../rig';
import type { FindingWords } from '../finding-words';
import { limitFigure, rangeFigure, show } from '../measured';
import type { Sentence } from '../sentence';
import { capital, nameOf, noun, numberWord, socketName } from '../words';

/** Where the data line ends: a lead, a socket that only charges, or the device's own. */
function sayNoData(rig: Rig, f: Finding): Sentence {
  const { part, port } = f.where;
  const at = port === undefined ? undefined : socketName(rig, { part: part ?? '', port });
  const cause =
    at !== undefined
      ? `The ${at} of ${noun(rig, part)} only charges`
      : part !== undefined && part !== f.other
        ? `${capital(nameOf(rig, part))} carries power and no data`
        : `The way to ${noun(rig, f.other)} carries power and no data`;
  return [`${cause}, so ${noun(rig, f.recorder)} never learns of ${noun(rig, f.other)}.`];
}

const sayUnauthenticated = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.recorder))} asks ${noun(rig, f.other)} to prove itself, and it has no chip for that.`,
];

const sayStarved = (rig: Rig, f: Finding): Sentence => [
  `${capital(nameOf(rig, f.other))} is offered `,
  ...f.values.map(show),
  ' at the most and declares that it needs ',
  limitFigure(f),
  `; ${noun(rig, f.recorder)} refuses it.`,
];

const sayMayStarve = (rig: Rig, f: Finding): Sentence => [
  `May starve: ${noun(rig, f.other)} declares `,
  ...f.values.map(show),
  ', and such sockets give ',
  rangeFigure(f),
  `. With yours it works or it does not: test it before the day.`,
];

const sayDevices = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.recorder))} takes one sound device at a time and has ${numberWord(f.values[0]?.value ?? 2)}: it took ${nameOf(rig, f.other)}, and does not list ${nameOf(rig, f.where.part)}. One interface with more inputs does what two devices cannot.`,
];

const sayHubs = (rig: Rig, f: Finding): Sentence => [
  `Between ${noun(rig, f.recorder)} and ${nameOf(rig, f.other)} lie `,
  ...f.values.map(show),
  ' hubs, and USB allows ',
  limitFigure(f),
  '. Take one out.',
];

const sayNoAnalogueMode = (rig: Rig, f: Finding): Sentence => [
  `${capital(nameOf(rig, f.other))} has no converter of its own and wants the port to pass analogue sound; the port of ${noun(rig, f.recorder)} does not.`,
];

const sayBrownOut = (rig: Rig, f: Finding): Sentence => [
  `${capital(nameOf(rig, f.other))} is taken for what it declares, but its socket has `,
  ...f.values.map(show),
  ' left and at its busiest it takes ',
  ...(f.limit ? [show(f.limit)] : []),
  '. It will come and go.',
];

const sayBytes = (rig: Rig, f: Finding): Sentence => [
  `${capital(nameOf(rig, f.other))} streams `,
  ...f.values.flatMap((m) => [show(m), ` ${m.name}`]),
  '; one frame carries ',
  limitFigure(f),
  '. Fewer channels or bits, or a device at high speed.',
];

const sayLongLead = (rig: Rig, f: Finding): Sentence => [
  `On the way to ${nameOf(rig, f.other)} lie `,
  ...f.values.flatMap((m) => [show(m), ` ${m.name}`]),
  '; USB allows ',
  limitFigure(f),
  '. A hub in between starts a new run.',
];

const sayUnpoweredPart = (rig: Rig, f: Finding): Sentence =>
  f.limit
    ? [
        `${capital(nameOf(rig, f.other))} is fed `,
        ...f.values.map(show),
        ' and its stage wants ',
        limitFigure(f),
        '.',
      ]
    : [`${capital(nameOf(rig, f.other))} has no power, so nothing comes out of it.`];

const sayNotNoticed = (rig: Rig, f: Finding): Sentence => [
  `${capital(nameOf(rig, f.other))} has nothing in its ${socketName(rig, { part: f.where.part ?? '', port: f.where.port ?? '' })}, and ${noun(rig, f.recorder)} takes notice of it by the load that headphones make. Plug some in and leave them in.`,
];

export const DEVICE_WORDS = {
  'usb-no-data': {
    title: 'Power, but no data',
    means: 'The lead or socket feeds the device and carries no data: the host never learns of it.',
    says: sayNoData,
    bracket: () => 'no data line',
  },
  'no-analogue-mode': {
    title: 'Port without analogue sound',
    means:
      'A dongle without a converter wants the audio accessory mode of the USB-C port, and this port has none. A dongle with a converter inside works on any port that takes USB sound.',
    says: sayNoAnalogueMode,
  },
  'accessory-unauthenticated': {
    title: 'Not authenticated',
    means: 'The 8-pin port asks its accessory to prove itself, and this one cannot.',
    says: sayUnauthenticated,
    bracket: () => 'no authentication',
  },
  starved: {
    title: 'Starved of power',
    means: 'The device declares more current than its socket gives; the host refuses it.',
    says: sayStarved,
    bracket: () => 'too little current',
  },
  'may-starve': {
    title: 'May starve',
    means:
      'The device declares more than such a socket usually gives and no more than some of its kind do. Whether the host takes it depends on yours: test it so.',
    says: sayMayStarve,
    bracket: () => 'current in doubt',
  },
  'usb-too-deep': {
    title: 'Too many hubs',
    means: 'More hubs lie between host and device than USB allows.',
    says: sayHubs,
  },
  'isochronous-exceeded': {
    title: 'More sound than the bus carries',
    means: 'A full-speed device streams more bytes a millisecond than one frame holds.',
    says: sayBytes,
  },
  'brown-out': {
    title: 'Comes and goes',
    means:
      'The host takes the device on what it declares, but at its busiest it really takes more than its socket has left: the supply sags and it drops out.',
    says: sayBrownOut,
  },
  'usb-lead-long': {
    title: 'USB lead too long',
    means: 'One run of lead between two devices is longer than USB allows; drop-outs are likely.',
    says: sayLongLead,
  },
  'two-sound-devices': {
    title: 'Two sound devices',
    means: 'Phones and tablets take one USB sound device at a time; the second is ignored.',
    says: sayDevices,
  },
  'not-noticed': {
    title: 'The phone takes no notice of it',
    means:
      'Some mobile interfaces are noticed only while something sits in their headphone socket: their load is what the phone senses. Plug headphones in and leave them in.',
    says: sayNotNoticed,
  },
  'part-unpowered': {
    title: 'A part without power',
    means:
      'The source, or a part on its way, has no power: flat battery, switched off, no charger or no phantom.',
    says: sayUnpoweredPart,
  },
} satisfies Readonly<Record<string, FindingWords>>;
