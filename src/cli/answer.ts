import { oneLine } from '../core/schema';
import type { Arguments } from './arguments';
import { BadInput } from './trouble';

/** What a command says on standard output, and its exit code. */
export interface Answer {
  readonly text: string;
  readonly code: number;
}

/** An hour. */
const MOST_MS = 3_600_000;

/** The milliseconds that an option gives, or the usual ones where it is not there. Throws `BadInput`. */
export function millisecondsOf(flags: Arguments['flags'], option: string, usual: number): number {
  const value = flags.get(option);
  if (value === undefined) return usual;
  if (!/^\d+$/.test(value) || Number(value) > MOST_MS)
    throw new BadInput(`--${option} takes milliseconds from 0 to ${MOST_MS}, not ${oneLine(value)}`);
  return Number(value);
}
