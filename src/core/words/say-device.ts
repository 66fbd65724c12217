import type { Finding } from '../checks';
import type { Rig } from '../rig';
import { limitFigure, show } from './measured';
import type { Sentence } from './sentence';
import { capital, nameOf, noun } from './words';

export const sayNoData = (rig: Rig, f: Finding): Sentence => [
  `The way to ${nameOf(rig, f.other)} carries power and no data, so ${noun(rig, f.recorder)} never learns of it.`,
];

export const sayUnauthenticated = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.recorder))} asks ${nameOf(rig, f.other)} to prove itself, and it has no chip for that.`,
];

export const sayStarved = (rig: Rig, f: Finding): Sentence => [
  `${capital(nameOf(rig, f.other))} is offered `,
  ...f.values.map(show),
  ' and declares that it needs ',
  limitFigure(f),
  `; ${noun(rig, f.recorder)} refuses it.`,
];

export const sayCount = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.recorder))} has ${nameOf(rig, f.other)} with `,
  ...f.values.flatMap((m) => [show(m), ` ${m.name}`]),
  '; it takes ',
  limitFigure(f),
  '.',
];

export const sayNoAnalogueMode = (rig: Rig, f: Finding): Sentence => [
  `${capital(nameOf(rig, f.other))} has no converter of its own and wants the port to pass analogue sound; the port of ${noun(rig, f.recorder)} does not.`,
];

export const sayBrownOut = (rig: Rig, f: Finding): Sentence => [
  `${capital(nameOf(rig, f.other))} is taken for what it declares, but its socket has `,
  ...f.values.map(show),
  ' left and at its busiest it takes ',
  ...limitFigures(f),
  '. It will come and go.',
];

export const sayBytes = (rig: Rig, f: Finding): Sentence => [
  `${capital(nameOf(rig, f.other))} streams `,
  ...f.values.flatMap((m) => [show(m), ` ${m.name}`]),
  '; one frame carries ',
  limitFigure(f),
  '. Fewer channels or bits, or a device at high speed.',
];

export const sayLongLead = (rig: Rig, f: Finding): Sentence => [
  `On the way to ${nameOf(rig, f.other)} lie `,
  ...f.values.flatMap((m) => [show(m), ` ${m.name}`]),
  '; USB allows ',
  limitFigure(f),
  '. A hub in between starts a new run.',
];

export const sayUnpoweredPart = (rig: Rig, f: Finding): Sentence =>
  f.limit
    ? [
        `${capital(nameOf(rig, f.other))} is fed `,
        ...f.values.map(show),
        ' and its stage wants ',
        limitFigure(f),
        '.',
      ]
    : [`${capital(nameOf(rig, f.other))} has no power, so nothing comes out of it.`];

const limitFigures = (f: Finding): Sentence => (f.limit ? [show(f.limit)] : []);
