import { RIG_VERSION, type Rig } from '../../core/rig';

/** Whether this Symplex can lay out a stored document; another version's, or one that was damaged, it leaves alone. */
export const isReadable = (doc: unknown): doc is Rig => {
  const rig = (doc ?? {}) as Partial<Record<keyof Rig, unknown>>;
  const isObject = (value: unknown) => typeof value === 'object' && value !== null;
  return (
    rig.version === RIG_VERSION &&
    typeof rig.name === 'string' &&
    Array.isArray(rig.parts) &&
    Array.isArray(rig.joints) &&
    isObject(rig.purpose) &&
    isObject(rig.surroundings)
  );
};
