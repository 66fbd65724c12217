import { partProblems, type PartProblem } from './part-problems';
import type { Part } from './types';
import validate from './validate-part.generated.mjs';

export type PartResult =
  { readonly ok: true; readonly part: Part } | { readonly ok: false; readonly problem: PartProblem };

const valueAt = (document: unknown, pointer: string): unknown =>
  pointer
    .split('/')
    .slice(1)
    .reduce<unknown>(
      (value, key) =>
        typeof value === 'object' && value !== null && Object.hasOwn(value, key)
          ? (value as Readonly<Record<string, unknown>>)[key]
          : undefined,
      document,
    );

/** Checks a part of the user's own: its shape, then every name in it. Never throws; the first problem comes back. */
export function checkPart(document: unknown): PartResult {
  if (!validate(document)) {
    const [error] = validate.errors ?? [];
    const missing = error?.keyword === 'required' ? `/${String(error.params['missingProperty'])}` : '';
    const at = (error?.instancePath ?? '') + missing;
    const expected = missing ? 'must be there' : (error?.message ?? 'does not follow the schema');
    return { ok: false, problem: { at, value: valueAt(document, at), expected } };
  }
  const part = document as Part;
  const first = partProblems(part).next();
  return first.done ? { ok: true, part } : { ok: false, problem: first.value };
}
