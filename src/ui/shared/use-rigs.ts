'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useSearchParams } from 'next/navigation';
import { database, type RigRecord } from '../../store/database';

/** Every stored rig by name; undefined until the store has answered. */
export function useRigs(): RigRecord[] | undefined {
  return useLiveQuery(async () => {
    const rigs = await database.rigs.toArray();
    return rigs.sort((a, b) => String(a.doc.name).localeCompare(String(b.doc.name)));
  });
}

/** The rig that the address names, else the last one changed. */
export function useCurrentRig(rigs: readonly RigRecord[] | undefined): RigRecord | undefined {
  const named = useSearchParams().get('rig');
  if (!rigs) return undefined;
  const latest = rigs.reduce<RigRecord | undefined>(
    (best, rig) => (best && best.updatedAt >= rig.updatedAt ? best : rig),
    undefined,
  );
  return rigs.find((rig) => rig.id === named) ?? latest;
}

/** Puts a rig into the address without leaving the page. */
export function showRig(id: string): void {
  window.history.pushState(null, '', `/?rig=${encodeURIComponent(id)}`);
}
