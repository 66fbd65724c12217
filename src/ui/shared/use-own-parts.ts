'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import type { Part } from '../../core/parts';
import { database } from '../../store/database';

const NONE: readonly Part[] = [];

/** Parts of the user's own, by name. */
export const useOwnParts = (): readonly Part[] =>
  useLiveQuery(() =>
    database.ownParts.toArray().then((all) => all.sort((a, b) => a.name.localeCompare(b.name))),
  ) ?? NONE;
