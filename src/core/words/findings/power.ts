import type { Finding, Measured } from '../../checks';
import type { Rig } from '../../rig';
import type { FindingWords } from '../finding-words';
import { limitFigure, rangeFigure, show } from '../measured';
import { sayMinutes } from '../say-time';
import { figure, type Sentence } from '../sentence';
import { capital, nameOf, noun } from '../words';

const levels = (f: Finding): Sentence => {
  const [level, least, most, voice] = f.values;
  if (!level || !least || !most || !voice) return [];
  return [
    `${capital(level.name)} `,
    show(level),
    ', typical, ',
    show(least),
    ' to ',
    show(most),
    '; the voice lies at ',
    show(voice),
    ', so ',
    limitFigure(f),
    ' goes unheard.',
  ];
};

/** Why it goes round: two things on the mains, or one that charges what it also sounds into. */
function sayLoop(rig: Rig, f: Finding): string {
  const one = capital(noun(rig, f.where.part));
  return f.other === undefined
    ? `${one} feeds and sounds at once: its current comes back by the sound lead too. `
    : `${one} and ${noun(rig, f.other)} are both on the mains, and the leads between them close a loop through their grounds. `;
}

const sayHums = (rig: Rig, f: Finding): Sentence => [sayLoop(rig, f), ...levels(f)];

const sayMayHum = (rig: Rig, f: Finding): Sentence => [
  sayLoop(rig, f),
  ...levels(f),
  ' With yours it may be heard: test it with everything plugged into the wall.',
];

/** The recording is clean: what hums, and beside what. */
const sayHumsInEars = (rig: Rig, f: Finding): Sentence => {
  const [level, least, most, played] = f.values;
  if (!level || !least || !most || !played) return [];
  const beside = f.other ? ` Its lead from ${noun(rig, f.other)} closes a loop.` : '';
  return [
    `${capital(noun(rig, f.where.part))} ${level.name}s at `,
    show(level),
    ', typical, ',
    show(least),
    ' to ',
    show(most),
    '; what is played lies at ',
    show(played),
    ', so ',
    limitFigure(f),
    ` goes unheard.${beside} The recording is clean.`,
  ];
};

const saySags = (rig: Rig, f: Finding): Sentence => {
  const [left, thin, takes, metres] = f.values;
  if (!left || !thin || !takes || !metres) return [];
  return [
    `${capital(nameOf(rig, f.where.part))} takes `,
    show(takes),
    ' over ',
    show(metres),
    ' of lead and is left ',
    show(left),
    ' (',
    show(thin),
    ' with thin leads); it wants ',
    limitFigure(f),
    '.',
  ];
};

const saySleeps = (rig: Rig, f: Finding): Sentence => [
  `${capital(nameOf(rig, f.where.part))} gives `,
  ...f.values.map(show),
  ' and many such banks turn off under ',
  rangeFigure(f),
  '. Try it for a quarter of an hour before the day.',
];

/** "260 mA to 840 mA", or one of them where they round to the same. */
const range = (typical: number, worst: number, say: (value: number) => string): string => {
  const [from, to] = [say(typical), say(worst)];
  return from === to || typical <= 0 ? to : `${from}, at the worst ${to}`;
};

/** Chargers and banks are told by steps of so many mA. */
const STEP_MILLIAMPS = 50;

/** What would carry it through; in cells, in current or in time on a charger, by the unit. */
function sayCarry([typical, worst]: readonly Measured[]): Sentence {
  if (!typical || !worst) return [];
  const inSteps = (mA: number) => `${Math.ceil(mA / STEP_MILLIAMPS) * STEP_MILLIAMPS} mA`;
  switch (typical.unit) {
    case 'mA':
      return [
        ' ',
        figure(range(typical.value, worst.value, inSteps)),
        ' more coming in all the while would carry it through.',
      ];
    case 'min':
      return [
        ' ',
        figure(range(typical.value, worst.value, sayMinutes)),
        ' on a charger would carry it through.',
      ];
    default:
      return [
        ' Fresh cells carry it through: ',
        figure(range(typical.value, worst.value, (sets) => `${sets}`)),
        worst.value === 1 ? ' set more.' : ' sets more.',
      ];
  }
}

const sayFlat = (rig: Rig, f: Finding): Sentence => {
  const [lasts, soonest, ...carry] = f.values;
  if (!lasts || !soonest || !f.limit) return [];
  return [
    `${capital(noun(rig, f.where.part))} is empty after about `,
    figure(sayMinutes(lasts.value)),
    ', at the worst after ',
    figure(sayMinutes(soonest.value)),
    '; the session is ',
    figure(sayMinutes(f.limit.value)),
    '.',
    ...sayCarry(carry),
  ];
};

export const POWER_WORDS = {
  hums: {
    title: 'It hums',
    says: sayHums,
    heading: (_rig, { values }) => `It ${values[0]?.name ?? 'hum'}s`,
  },
  'may-hum': {
    title: 'May hum',
    says: sayMayHum,
  },
  'hums-in-ears': {
    title: 'It hums where it is heard',
    says: sayHumsInEars,
  },
  sags: {
    title: 'Too few volts',
    says: saySags,
  },
  'bank-sleeps': {
    title: 'The bank may turn off',
    says: saySleeps,
  },
  'runs-flat': {
    title: 'Empty before the end',
    says: sayFlat,
  },
} satisfies Readonly<Record<string, FindingWords>>;
