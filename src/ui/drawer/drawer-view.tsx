'use client';
import { useState } from 'react';
import { findPart } from '../../core/parts';
import { openDemo } from '../../store/demo';
import { keeping } from '../shared/report-trouble';
import { useDrawerItems } from '../shared/use-drawer';
import { useOwnParts } from '../shared/use-own-parts';
import { NewOwnPart } from '../own/new-own-part';
import { DrawerTable, setCount } from './drawer-table';

/** What the user owns: fixes from the drawer come before fixes that cost money. */
export function DrawerView() {
  const items = useDrawerItems();
  const own = useOwnParts();
  const [adding, setAdding] = useState(false);
  const known = (items ?? []).filter(
    (item) => findPart(item.part) ?? own.find((part) => part.id === item.part),
  );
  return (
    <div className="mx-auto max-w-3xl px-4 py-5 lg:px-6">
      <h1 className="text-2xl font-bold">Drawer</h1>
      <p className="text-soft mt-1">
        What you own. The Bench offers a fix from the drawer before one that must be bought.
      </p>
      <p className="mt-3">
        <button type="button" className="button" onClick={() => setAdding(true)}>
          A part of your own
        </button>
      </p>
      {adding && <NewOwnPart kept={(part) => setCount(part.id, 1)} close={() => setAdding(false)} />}
      {items && known.length === 0 && (
        <p className="mt-5">
          The drawer is empty. Count what you have below, or{' '}
          <button type="button" className="button" onClick={() => void keeping(openDemo())}>
            open the Ropewalk Yard demo
          </button>
        </p>
      )}
      {items && <DrawerTable items={known} own={own} />}
    </div>
  );
}
