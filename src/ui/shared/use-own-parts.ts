'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import type { Part } from '../../core/parts';
import { database } from '../../store/database';
import { isPart } from '../../store/stored';
import { getEngine } from '../../workers/engine';

const NONE: readonly Part[] = [];

/** Parts of the user's own: those that can be worked with, and what is stored under that name and is damaged. */
export interface OwnParts {
  readonly sound: readonly Part[];
  readonly damaged: readonly unknown[];
}

const NOTHING: OwnParts = { sound: NONE, damaged: [] };

/** Every stored own part, checked by the engine; by name. */
export function useOwnPartsState(): OwnParts {
  const stored = useLiveQuery(() => database.ownParts.toArray() as Promise<unknown[]>);
  const [checked, setChecked] = useState<OwnParts & { of: unknown }>();
  useEffect(() => {
    if (!stored || stored.length === 0) return undefined;
    let current = true;
    const formed = stored.filter(isPart);
    getEngine()
      .soundParts(formed)
      .then((sound) => {
        if (!current) return;
        const good = new Set<unknown>(formed.filter((_, index) => sound[index]));
        setChecked({
          of: stored,
          sound: formed.filter((part) => good.has(part)).sort((a, b) => a.name.localeCompare(b.name)),
          damaged: stored.filter((part) => !good.has(part)),
        });
      })
      .catch(() => undefined);
    return () => {
      current = false;
    };
  }, [stored]);
  return stored && stored.length > 0 && checked ? checked : NOTHING;
}

/** Parts of the user's own that are sound, by name. */
export const useOwnParts = (): readonly Part[] => useOwnPartsState().sound;
