'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { database } from '../../store/database';
import type { TakeRecord } from '../../store/records';
import { isTake } from '../../store/stored-take';

/** Every kept take that is whole, the latest first; undefined until the store has answered. */
export const useTakes = (): TakeRecord[] | undefined =>
  useLiveQuery(async () =>
    ((await database.takes.orderBy('at').reverse().toArray()) as unknown[]).filter(isTake),
  );
