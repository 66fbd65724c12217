import { UNDER_SPEECH } from '../engine/earth';
import { checkOf, type PowerQuestion } from '../checks';
import type { Outcome } from '../judge';
import type { Rig } from '../rig';
import { formatDb } from '../units';
import type { PowerView } from '../views';
import { INAUDIBLE } from './say-hum';
import { sayMinutes } from './say-time';
import { figure, type Sentence } from './sentence';
import { capital, list, noun } from './words';

/** An answer in one sentence, and how it stands. */
export interface PowerAnswer {
  readonly asks: PowerQuestion;
  readonly is: 'well' | 'uncertain' | 'ill';
  readonly says: Sentence;
}

const names = (rig: Rig, ids: readonly string[]): string =>
  list([...new Set(ids)].map((id) => noun(rig, id)));

const answering = ({ findings }: Pick<Outcome, 'findings'>, asks: PowerQuestion) =>
  findings.filter(({ code }) => checkOf(code)?.asks === asks);

/** What is found of the supply, and so of whether it starts at all. */
function starts(rig: Rig, view: PowerView, outcome: Outcome): PowerAnswer {
  // What is dark because another thing is, is told with that.
  const about = answering(outcome, 'start').filter(
    ({ severity, because }) => severity !== 'note' && because === undefined,
  );
  const refused = about.filter(({ severity }) => severity === 'blocks');
  if (refused.length > 0) {
    const dark = [...new Set(refused.flatMap(({ other, source }) => other ?? source ?? []))];
    const says = `It does not start: ${names(rig, dark)} ${dark.length === 1 ? 'is' : 'are'} given too little power, or none.`;
    return { asks: 'start', is: 'ill', says: [says] };
  }
  const doubtful = about.flatMap(({ other, where }) => where.part ?? other ?? []);
  if (doubtful.length > 0)
    return {
      asks: 'start',
      is: 'uncertain',
      says: [`It may start, and ${names(rig, doubtful)} may drop out: test it so.`],
    };
  const fed = view.feeds.filter(({ as, takes }) => as === 'device' && takes > 0);
  const drawn = fed.reduce((sum, { takes }) => sum + takes, 0);
  return fed.length === 0
    ? { asks: 'start', is: 'well', says: ['It starts: nothing here is fed by another.'] }
    : {
        asks: 'start',
        is: 'well',
        says: [
          'It starts: ',
          figure(`${Math.round(drawn)} mA`),
          ' are wanted in all, and every socket gives what is asked of it.',
        ],
      };
}

function lasts(rig: Rig, { discharge, session }: PowerView): PowerAnswer {
  const flat = discharge.flatMap((one) => (one.flat === undefined ? [] : [{ ...one, flat: one.flat }]));
  const [first] = flat.sort((a, b) => a.flat - b.flat);
  if (!first)
    return {
      asks: 'last',
      is: 'well',
      says: ['It lasts: nothing runs down, as long as the mains is there.'],
    };
  const worst = first.flatSoonest ?? first.flat;
  // Where nothing is planned, two hours are a guess of ours: the spread is no doubt of it.
  const doubtful = session.planned && worst < session.minutes;
  const is = first.flat < session.minutes ? 'ill' : doubtful ? 'uncertain' : 'well';
  const plan = `${session.planned ? 'the session is' : 'a usual session is'} ${sayMinutes(session.minutes)}`;
  return {
    asks: 'last',
    is,
    says: [
      is === 'ill' ? 'It does not last: ' : 'It lasts about ',
      ...(is === 'ill' ? [`${noun(rig, first.placed)} is empty after about `] : []),
      figure(sayMinutes(first.flat)),
      is === 'ill' ? '' : `, then ${noun(rig, first.placed)} is empty`,
      `; at the worst after `,
      figure(sayMinutes(worst)),
      `. ${capital(plan)}.`,
    ],
  };
}

function humming(rig: Rig, view: PowerView, outcome: Outcome): PowerAnswer {
  const [one] = answering(outcome, 'hum');
  const found = one && one.severity !== 'note';
  const [level, least, most, voice] = one?.values ?? [];
  if (one && level && least && most && voice) {
    const who =
      one.other === undefined
        ? noun(rig, one.where.part)
        : `${noun(rig, one.where.part)} and ${noun(rig, one.other)}`;
    const range = [
      figure(formatDb(level.value, level.unit)),
      `, typical, ${formatDb(least.value, least.unit)} to ${formatDb(most.value, most.unit)}; `,
    ];
    // Nobody records it: it is heard in the room, or in headphones.
    if (one.recorder === undefined) {
      const says = [
        `The recording does not hum, but ${noun(rig, one.where.part)} does: `,
        ...range,
        'what is played there is at ',
        figure(formatDb(voice.value, voice.unit)),
        '.',
      ];
      return { asks: 'hum', is: found ? 'ill' : 'uncertain', says };
    }
    return {
      asks: 'hum',
      is: found ? 'ill' : 'uncertain',
      says: [
        found ? `It ${level.name}s: ` : `It may ${level.name}: `,
        `${who} ${one.other === undefined ? 'closes' : 'close'} a loop through the grounds. `,
        ...range,
        'the voice is at ',
        figure(formatDb(voice.value, voice.unit)),
        '.',
      ],
    };
  }
  const [loudest] = view.hums;
  if (!loudest || loudest.typical < INAUDIBLE)
    return {
      asks: 'hum',
      is: 'well',
      says: [
        view.loops.length > 0
          ? 'It does not hum: the grounds close a loop, and what flows in it does not reach the sound.'
          : 'It does not hum: the grounds meet nowhere twice.',
      ],
    };
  return {
    asks: 'hum',
    is: 'well',
    says: [
      'It does not hum to speak of: ',
      figure(formatDb(loudest.typical, 'dBFS')),
      ` at ${noun(rig, loudest.recorder)}, more than ${UNDER_SPEECH} dB under the voice.`,
    ],
  };
}

/** Starts it, lasts it, hums it: one sentence each. */
export const powerAnswers = (rig: Rig, view: PowerView, outcome: Outcome): PowerAnswer[] => [
  starts(rig, view, outcome),
  lasts(rig, view),
  humming(rig, view, outcome),
];
