import { database } from './database';
import type { DrawerItem } from './records';
import { addRig } from './rigs';

const SEEDED = 'demo-opened';

/** Brings in the rigs and the drawer of Ropewalk Yard; what is there already stays. Gives back the first rig's id. */
export async function openDemo(): Promise<string | undefined> {
  const { DEMO_RIGS, DEMO_DRAWER, sound } = await import('./demo-data');
  const have = new Set(await database.rigs.toCollection().primaryKeys());
  const rigs = DEMO_RIGS.map(sound);
  // The first is stored last: the Bench opens on what was changed last.
  for (const rig of rigs.toReversed()) if (!have.has(rig.id)) await addRig(rig);
  const items: DrawerItem[] = DEMO_DRAWER;
  await database.transaction('rw', database.drawer, async () => {
    for (const item of items) if (!(await database.drawer.get(item.part))) await database.drawer.add(item);
  });
  await database.meta.put({ key: SEEDED, value: new Date().toISOString() });
  return rigs[0]?.id;
}

/** Opens the demo once in the life of this store, and never over a user's own rigs. */
export async function openDemoOnce(): Promise<void> {
  const [seeded, rigs] = await Promise.all([database.meta.get(SEEDED), database.rigs.count()]);
  if (!seeded && rigs === 0) await openDemo();
}
