'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import type { Drawer } from '../../core/fixes';
import { database, type DrawerItem } from '../../store/database';

export const useDrawerItems = (): DrawerItem[] | undefined => useLiveQuery(() => database.drawer.toArray());

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
