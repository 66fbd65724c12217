/** What was passed over or put right when a document was read. `at` is a JSON pointer into it. */
export type ReadWarning =
  | { readonly code: 'unknown-field'; readonly at: string; readonly field: string; readonly nearest?: string }
  | { readonly code: 'roles-exchanged'; readonly at: string; readonly joint: string };

/** One sentence that names the place. */
export function sayWarning(warning: ReadWarning): string {
  switch (warning.code) {
    case 'unknown-field':
      return (
        `${warning.at} is no field that Symplex knows, and says nothing` +
        (warning.nearest === undefined ? '.' : `; did you mean "${warning.nearest}"?`)
      );
    case 'roles-exchanged':
      return `${warning.at} names its plug as its jack; the two were put right.`;
  }
}

/** Warnings as they stand in an answer: with their sentence. */
export const warningReport = (warnings: readonly ReadWarning[]) =>
  warnings.map((warning) => ({ ...warning, says: sayWarning(warning) }));
