/** Bad input: one line on standard error, exit code 2. */
export class BadInput extends Error {}

/** An answer that could not be written: one line on standard error, exit code 1. */
export class NotWritten extends Error {}

/** What went wrong with a file, in the words of the system. */
export const causeOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));
