'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { database } from '../../store/database';
import type { TakeRecord } from '../../store/records';

/** Every kept take, the latest first; undefined until the store has answered. */
export const useTakes = (): TakeRecord[] | undefined =>
  useLiveQuery(() => database.takes.orderBy('at').reverse().toArray());
