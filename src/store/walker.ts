import { create, type Delta, type DiffPatcher } from 'jsondiffpatch';
import { checkRig } from '../core/files/read-rig';
import type { Rig } from '../core/rig';

/** What tells things of a list apart: parts, joints and own parts by their id. */
const idOf = (item: object): string | undefined => {
  const { id } = item as { readonly id?: unknown };
  return typeof id === 'string' ? id : undefined;
};

/** What writes and walks the steps of a history. */
export interface Walker {
  /** The step from one state of a rig to another; undefined where they do not differ. */
  readonly between: (before: Rig, after: Rig) => Delta;
  /** A rig with a step done, or taken back; undefined where the step is damaged, or what it gives is no rig. */
  readonly walk: (rig: Rig, delta: unknown, way: 'back' | 'forward') => Rig | undefined;
}

/** A step of a rig is a nest of changes, none deeper than this: a rig is not. Ours. */
const DEEPEST = 40;

/** A change of one value in a step: added, replaced, taken out, text, moved. */
const isChange = (delta: readonly unknown[]): boolean =>
  delta.length === 1 ||
  delta.length === 2 ||
  (delta.length === 3 && (delta[2] === 0 || delta[2] === 2 || delta[2] === 3));

/** Whether something has the form of a step: the library walks anything else without end. */
export function isStep(delta: unknown, deep = 0): boolean {
  if (Array.isArray(delta)) return deep > 0 && isChange(delta);
  if (typeof delta !== 'object' || delta === null || deep > DEEPEST) return false;
  return Object.entries(delta).every(([key, value]) =>
    key === '_t' ? value === 'a' : isStep(value, deep + 1),
  );
}

const makeWalker = (differ: DiffPatcher, isRig: (document: unknown) => boolean): Walker => ({
  between: (before, after) => differ.diff(before, after),
  walk: (rig, delta, way) => {
    // Histories of the first versions have steps that change nothing.
    if (delta === undefined) return rig;
    if (!isStep(delta)) return undefined;
    const [from, step] = [structuredClone(rig), structuredClone(delta) as Delta];
    try {
      const walked = way === 'back' ? differ.unpatch(from, step) : differ.patch(from, step);
      return isRig(walked) ? (walked as Rig) : undefined;
    } catch {
      return undefined;
    }
  },
});

export const walker: Walker = makeWalker(
  create({ objectHash: (item) => idOf(item) ?? JSON.stringify(item), cloneDiffValues: true }),
  (document) => checkRig(document).ok,
);
