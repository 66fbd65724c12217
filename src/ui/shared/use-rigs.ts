'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import { database } from '../../store/database';
import type { RigRecord } from '../../store/records';
import { wasDeletedHere } from '../../store/rigs';

/** A stored rig as a list names it. */
export interface RigName {
  readonly id: string;
  /** Absent where what is stored has none: it is damaged. */
  readonly name?: string;
}

export const nameOfRig = ({ id, name }: RigName): string => name ?? `${id} (damaged)`;

/** Every stored rig by name, without its document; undefined until the store has answered. */
export function useRigNames(): readonly RigName[] | undefined {
  return useLiveQuery(async () => {
    const [ids, named] = await Promise.all([
      database.rigs.toCollection().primaryKeys(),
      database.rigs.orderBy('[doc.name+id]').keys() as unknown as Promise<[name: string, id: string][]>,
    ]);
    const names = new Map(named.map(([name, id]) => [id, name]));
    return ids
      .map((id): RigName => {
        const name = names.get(id);
        return { id, ...(typeof name === 'string' && { name }) };
      })
      .sort((a, b) => nameOfRig(a).localeCompare(nameOfRig(b)));
  });
}

const latest = async (): Promise<RigRecord | undefined> =>
  (await database.rigs.orderBy('updatedAt').last()) ?? (await database.rigs.toCollection().first());

/** The rig on the Bench. `gone`: another tab has deleted it, and this is what was last seen of it. */
export type ShownRig =
  | { readonly state: 'opening' }
  | { readonly state: 'none' }
  | { readonly state: 'here' | 'gone'; readonly record: RigRecord };

/** The rig that the address names, else the last one changed. */
export function useShownRig(): ShownRig {
  const named = useSearchParams().get('rig') ?? undefined;
  const [seen, see] = useState<RigRecord>();
  const found = useLiveQuery(async () => {
    const record = named === undefined ? undefined : await database.rigs.get(named);
    return { named, record: record ?? (await latest()), asked: record !== undefined };
  }, [named]);
  if (!found || found.named !== named) return { state: 'opening' };
  const { record, asked } = found;
  if (asked && record && record !== seen) see(record);
  if (!asked && seen !== undefined && seen.id === named && !wasDeletedHere(seen.id)) {
    return { state: 'gone', record: seen };
  }
  return record ? { state: 'here', record } : { state: 'none' };
}

/** Puts a rig into the address without leaving the page. */
export function showRig(id: string): void {
  window.history.pushState(null, '', `/?rig=${encodeURIComponent(id)}`);
}

/** The same, where the address named none: it is no step of its own. */
export function nameShownRig(id: string): void {
  const asked = new URLSearchParams(window.location.search);
  asked.set('rig', id);
  window.history.replaceState(null, '', `/?${asked}`);
}
