import { malformedBy } from '../../schema';
import { partProblems, type PartProblem } from './part-problems';
import type { Part } from './types.generated';
import validate from './validate-part.generated.mjs';

export type PartResult =
  { readonly ok: true; readonly part: Part } | { readonly ok: false; readonly problem: PartProblem };

/** Checks a part of the user's own: its shape, then every name in it. Never throws; the first problem comes back. */
export function checkPart(document: unknown): PartResult {
  if (!validate(document)) return { ok: false, problem: malformedBy(document, validate.errors) };
  const part = document as Part;
  const first = partProblems(part).next();
  return first.done ? { ok: true, part } : { ok: false, problem: first.value };
}
