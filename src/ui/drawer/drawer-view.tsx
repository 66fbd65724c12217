'use client';
import { findPart } from '../../core/parts';
import { openDemo } from '../../store/demo';
import { keeping } from '../shared/report-trouble';
import { useDrawerItems } from '../shared/use-drawer';
import { DrawerTable } from './drawer-table';

/** What the user owns: fixes from the drawer come before fixes that cost money. */
export function DrawerView() {
  const items = useDrawerItems();
  const known = (items ?? []).filter((item) => findPart(item.part));
  return (
    <div className="mx-auto max-w-3xl px-4 py-5 lg:px-6">
      <h1 className="text-2xl font-bold">Drawer</h1>
      <p className="text-soft mt-1">
        What you own. The Bench offers a fix from the drawer before one that must be bought.
      </p>
      {items && known.length === 0 && (
        <p className="mt-5">
          The drawer is empty. Count what you have below, or{' '}
          <button type="button" className="button" onClick={() => void keeping(openDemo())}>
            open the Ropewalk Yard demo
          </button>
        </p>
      )}
      {items && <DrawerTable items={known} />}
    </div>
  );
}
