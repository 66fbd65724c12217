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

const sayOtherDevice = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.recorder))} records from ${nameOf(rig, f.other)}. ${capital(nameOf(rig, f.where.part))} is another sound device, and what comes by it is not in the recording. One interface with more inputs does what two devices cannot.`,
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
    says: sayNoData,
    bracket: () => 'no data line',
  },
  'no-analogue-mode': {
    title: 'Port without analogue sound',
    says: sayNoAnalogueMode,
  },
  'accessory-unauthenticated': {
    title: 'Not authenticated',
    says: sayUnauthenticated,
    bracket: () => 'no authentication',
  },
  starved: {
    title: 'Starved of power',
    says: sayStarved,
    bracket: () => 'too little current',
  },
  'may-starve': {
    title: 'May starve',
    says: sayMayStarve,
    bracket: () => 'current in doubt',
  },
  'usb-too-deep': {
    title: 'Too many hubs',
    says: sayHubs,
  },
  'isochronous-exceeded': {
    title: 'More sound than the bus carries',
    says: sayBytes,
  },
  'brown-out': {
    title: 'Comes and goes',
    says: sayBrownOut,
  },
  'usb-lead-long': {
    title: 'USB lead too long',
    says: sayLongLead,
  },
  'two-sound-devices': {
    title: 'Two sound devices',
    says: sayDevices,
  },
  'records-other-device': {
    title: 'It records from another sound device',
    says: sayOtherDevice,
  },
  'not-noticed': {
    title: 'The phone takes no notice of it',
    says: sayNotNoticed,
  },
  'part-unpowered': {
    title: 'A part without power',
    says: sayUnpoweredPart,
  },
} satisfies Readonly<Record<string, FindingWords>>;
