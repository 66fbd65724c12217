import type { Heard, Hearer, Hearing, HearState, Speaker } from '../engine/hearing';
import { peopleOf, type Rig } from '../rig';
import { capital, list, nameOf, noun } from './words';

/** What stands in a cell of the matrix. */
export const HEARD_WORDS: Readonly<Record<HearState, string>> = {
  hears: 'hears',
  quiet: 'too quiet',
  late: 'echo',
  twice: 'twice',
  not: 'not at all',
  alone: '–',
};

const milliseconds = (ms: number): string => `${Math.round(ms)} ms`;

/** Sooner than this nobody hears it as later, ms: half a metre of air. */
const AT_ONCE = 1.5;

/** "120 ms", "echo, 260 ms", "not at all". */
export function sayHeard({ state, delay }: Pick<Heard, 'state' | 'delay'>): string {
  const late = delay.typical >= AT_ONCE ? milliseconds(delay.typical) : 'direct';
  if (state === 'hears') return late;
  if (state === 'late' || state === 'twice' || state === 'quiet') return `${HEARD_WORDS[state]}, ${late}`;
  return HEARD_WORDS[state];
}

/** A person of the rig by name, anything else by that of its part. */
export const calledIn = (rig: Rig, id: string): string =>
  peopleOf(rig).find((person) => person.id === id)?.name ?? nameOf(rig, id);

/** A person or device in a few letters: a caller by their own name, ears as what is worn. */
export function sayPerson(rig: Rig, id: string, is: Hearer['is'] | Speaker['is']): string {
  if (is === 'person' || is === 'caller') return calledIn(rig, id);
  if (is !== 'ears') return noun(rig, id);
  const [first = id] = nameOf(rig, id).split(',');
  return `the ${first.charAt(0).toLowerCase()}${first.slice(1)}`;
}

/** "Caller A hears everyone but Caller B, and themself 260 ms late." */
export function sayHearer(rig: Rig, { hearers, speakers, cells }: Hearing, listener: string): string {
  const own = cells.filter((cell) => cell.listener === listener);
  const others = own.filter(({ voice }) => voice !== listener);
  const heard = others.filter(({ state }) => state === 'hears' || state === 'twice');
  const lost = others.filter(({ state }) => state === 'not' || state === 'quiet');
  const echo = own.find(({ state }) => state === 'late');
  const is = hearers.find(({ id }) => id === listener)?.is ?? 'caller';
  const worn = is === 'ears';
  const name = worn
    ? `Whoever wears ${sayPerson(rig, listener, 'ears')}`
    : capital(sayPerson(rig, listener, is === 'person' ? 'person' : 'caller'));
  const names = (of: readonly Heard[]) => list(of.map(({ voice }) => calledIn(rig, voice)));
  const everyone = speakers.some(({ id }) => id === listener) ? 'everyone else' : 'everyone';
  const hears =
    lost.length === 0
      ? everyone
      : heard.length === 0
        ? 'nobody'
        : lost.length <= heard.length
          ? `everyone but ${names(lost)}`
          : `${names(heard)} alone`;
  const back = echo ? `, and themself ${milliseconds(echo.delay.typical)} late` : '';
  const doubled = own.filter(({ state, also }) => state === 'twice' && also !== undefined);
  const hollow = doubled.length === 0 ? '' : `, ${names(doubled)} by two microphones at once`;
  return `${name} hears ${hears}${back}${hollow}.`;
}
