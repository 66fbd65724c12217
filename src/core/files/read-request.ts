import { LARGEST_RIG_BYTES } from './write-rig';
import { malformedBy, oneLine, quoteValue } from '../schema';
import type { RouteRequest } from '../search/route/request';
import { firstRequestProblem, type RequestProblem } from '../search/route/request-problems';
import REQUEST_SCHEMA from './request-schema.json';
import { unknownFields } from './unknown-fields';
import type { ReadWarning } from './warnings';
import validate from './validate-request.generated.mjs';

export type RequestResult =
  | { readonly ok: true; readonly request: RouteRequest; readonly warnings: readonly ReadWarning[] }
  | { readonly ok: false; readonly problem: RequestProblem };

const malformed = (at: string, value: unknown, expected: string): RequestResult => ({
  ok: false,
  problem: { code: 'malformed', at, value: quoteValue(value), expected },
});

/** Checks an already parsed request: its shape, then its names, then whether it contradicts itself. */
export function checkRequest(document: unknown): RequestResult {
  if (!validate(document)) {
    const { at, value, expected } = malformedBy(document, validate.errors);
    return malformed(at, value, expected);
  }
  const request = document as RouteRequest;
  const problem = firstRequestProblem(request);
  return problem
    ? { ok: false, problem }
    : { ok: true, request, warnings: unknownFields(document, REQUEST_SCHEMA) };
}

/** Reads a request file. Never throws. */
export function readRequest(text: string): RequestResult {
  if (text.length > LARGEST_RIG_BYTES) {
    return malformed(
      '',
      `${(text.length / 1e6).toFixed(1)} MB long`,
      `has at most ${LARGEST_RIG_BYTES / 1e6} MB`,
    );
  }
  try {
    return checkRequest(JSON.parse(text));
  } catch (error) {
    return malformed(
      '',
      oneLine(error instanceof Error ? error.message : String(error)),
      'must be complete JSON',
    );
  }
}
