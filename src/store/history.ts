import type { Delta, DiffPatcher } from 'jsondiffpatch';
import type { Rig } from '../core/rig';

/** What tells things of a list apart: parts, joints and own parts by their id. */
const idOf = (item: object): string | undefined => {
  const { id } = item as { readonly id?: unknown };
  return typeof id === 'string' ? id : undefined;
};

let loading: Promise<DiffPatcher> | undefined;

/** The library that writes and walks steps of a history, fetched when first needed: before any transaction begins. */
export const loadDiffer = (): Promise<DiffPatcher> =>
  (loading ??= import('jsondiffpatch').then(({ create }) =>
    create({ objectHash: (item) => idOf(item) ?? JSON.stringify(item), cloneDiffValues: true }),
  ));

const copy = (rig: Rig): Rig => structuredClone(rig);

/** The step from one state of a rig to another; undefined where they do not differ. */
export const stepBetween = (differ: DiffPatcher, before: Rig, after: Rig): Delta =>
  differ.diff(before, after);

export const stepForward = (differ: DiffPatcher, rig: Rig, delta: unknown): Rig =>
  differ.patch(copy(rig), structuredClone(delta) as Delta) as Rig;

export const stepBack = (differ: DiffPatcher, rig: Rig, delta: unknown): Rig =>
  differ.unpatch(copy(rig), structuredClone(delta) as Delta) as Rig;
