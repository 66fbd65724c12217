import type { Heard, Hearer, Hearing, HearState, Speaker } from '../engine/hearing';
import type { Rig } from '../rig';
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

/** "120 ms", "echo, 260 ms", "not at all". */
export function sayHeard({ state, delay }: Pick<Heard, 'state' | 'delay'>): string {
  const late = delay.typical > 0 ? milliseconds(delay.typical) : 'direct';
  if (state === 'hears') return late;
  if (state === 'late' || state === 'twice' || state === 'quiet') return `${HEARD_WORDS[state]}, ${late}`;
  return HEARD_WORDS[state];
}

/** A person or device in a few letters: a caller by their own name, ears as what is worn. */
export function sayPerson(rig: Rig, id: string, is: Hearer['is'] | Speaker['is']): string {
  if (is === 'caller') return nameOf(rig, id);
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
  const worn = hearers.some(({ id, is }) => id === listener && is === 'ears');
  const name = worn
    ? `Whoever wears ${sayPerson(rig, listener, 'ears')}`
    : capital(sayPerson(rig, listener, 'caller'));
  const names = (of: readonly Heard[]) => list(of.map(({ voice }) => nameOf(rig, voice)));
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
  return `${name} hears ${hears}${back}.`;
}
