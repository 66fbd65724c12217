'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import type { Drawer } from '../../core/search/fixes';
import { database } from '../../store/database';
import type { DrawerItem } from '../../store/records';
import { isItem } from '../../store/stored';

/** What the drawer holds; undefined until the store has answered. What is damaged is left out, and stays stored. */
export const useDrawerItems = (): DrawerItem[] | undefined =>
  useLiveQuery(async () => ((await database.drawer.toArray()) as unknown[]).filter(isItem));

/** Metres of owned leads that are not broken, by part, as routes want them. */
export function useLeadLengths(): Readonly<Record<string, readonly number[]>> {
  const items = useDrawerItems();
  return useMemo(
    () =>
      Object.fromEntries(
        (items ?? [])
          .filter((item) => item.condition !== 'broken' && (item.lengths ?? []).length > 0)
          .map((item) => [item.part, (item.lengths ?? []).slice(0, item.count)]),
      ),
    [items],
  );
}

/** Counts by part, as fixes and routes want them: without what is broken. */
export function useDrawer(): Drawer {
  const items = useDrawerItems();
  return useMemo(
    () =>
      Object.fromEntries(
        (items ?? []).filter((item) => item.condition !== 'broken').map((item) => [item.part, item.count]),
      ),
    [items],
  );
}
