/** A sentence with its measured values marked, so that a page can set them apart. */
export type Sentence = readonly (string | { readonly figure: string })[];

/** A measured value or a limit within a sentence. */
export const figure = (text: string) => ({ figure: text });

/** The sentence as plain text. */
export const plain = (sentence: Sentence): string =>
  sentence.map((piece) => (typeof piece === 'string' ? piece : piece.figure)).join('');
