'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { keptValue } from '../../store/kept';

/** A small value that is kept in the browser, or the usual one where there is none or it is no such thing. */
export function useKept<T>(key: string, isSuch: (value: unknown) => value is T, usual: T): T {
  const kept = useLiveQuery(() => keptValue(key), [key]);
  return isSuch(kept) ? kept : usual;
}

export const isBoolean = (value: unknown): value is boolean => typeof value === 'boolean';
