import type { Walker } from './walker';

export type { Walker } from './walker';

let loading: Promise<Walker> | undefined;

/** The library that writes and walks steps, and the reader of rigs, fetched when first needed: before any transaction begins. */
export const loadWalker = (): Promise<Walker> =>
  (loading ??= import('./walker').then(({ walker }) => walker));
