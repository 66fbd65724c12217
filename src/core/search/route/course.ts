import type { Part } from '../../parts';
import type { OpenEnd } from '../ends';

/** What every chain has to lead through in some order, told as how far it has come: a step for each part more, from a beginning to the last. */
export interface Course {
  /** Equal ones are one. */
  readonly name: string;
  readonly steps: number;
  /** Where a chain that begins at an end begins. */
  readonly begin: (start: OpenEnd) => number;
  readonly after: (part: Part, step: number) => number;
}

/** Nothing has to be led through. */
export const FREE: Course = { name: '', steps: 1, begin: () => 0, after: () => 0 };

/** Whether a chain has been through all of it. */
export const isThrough = ({ steps }: Course, step: number): boolean => step === steps - 1;

/** Through one part of these. */
export const throughOneOf = (name: string, parts: ReadonlySet<Part>): Course => ({
  name,
  steps: 2,
  begin: () => 0,
  after: (part, step) => (parts.has(part) ? 1 : step),
});

/** Both, whichever comes first. */
export function bothOf(one: Course, other: Course): Course {
  if (one === FREE) return other;
  if (other === FREE) return one;
  const of = (a: number, b: number) => a * other.steps + b;
  return {
    name: `${one.name} & ${other.name}`,
    steps: one.steps * other.steps,
    begin: (start) => of(one.begin(start), other.begin(start)),
    after: (part, step) =>
      of(one.after(part, Math.floor(step / other.steps)), other.after(part, step % other.steps)),
  };
}

/** What a part does to a chain, step by step. */
export const effectOf = (course: Course, part: Part): readonly number[] =>
  Array.from({ length: course.steps }, (_, step) => course.after(part, step));
