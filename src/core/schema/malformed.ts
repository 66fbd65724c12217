import type { SchemaError } from './validator';

/** Where a document breaks its schema: a JSON pointer, the value there, and what completes "it …". */
export interface Malformed {
  readonly at: string;
  readonly value: unknown;
  readonly expected: string;
}

/** The value at a JSON pointer (RFC 6901); undefined where it leads nowhere. */
export function valueAt(document: unknown, pointer: string): unknown {
  return pointer
    .split('/')
    .slice(1)
    .map((token) => token.replace(/~1/g, '/').replace(/~0/g, '~'))
    .reduce<unknown>(
      (value, key) =>
        typeof value === 'object' && value !== null && Object.hasOwn(value, key)
          ? (value as Readonly<Record<string, unknown>>)[key]
          : undefined,
      document,
    );
}

/** What a value must be, in words that name the values that are allowed. */
function expectedBy(error: SchemaError | undefined): string {
  switch (error?.keyword) {
    case 'enum':
      return `must be one of ${JSON.stringify(error.params['allowedValues'])}`;
    case 'const':
      return `must be ${JSON.stringify(error.params['allowedValue'])}`;
    default:
      return error?.message ?? 'must follow the schema';
  }
}

/** The first thing that a validator objected to. */
export function malformedBy(document: unknown, errors: readonly SchemaError[] | null | undefined): Malformed {
  const [error] = errors ?? [];
  const missing = error?.keyword === 'required' ? `/${String(error.params['missingProperty'])}` : '';
  const at = (error?.instancePath ?? '') + missing;
  return { at, value: valueAt(document, at), expected: missing ? 'must be there' : expectedBy(error) };
}
