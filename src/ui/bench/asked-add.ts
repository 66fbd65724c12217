import type { Rig } from '../../core/rig';

let asked: string | undefined;

/** The next rig that is shown and has this part opens with the list of what can be plugged into it. */
export const askToAdd = (placed: string | undefined): void => {
  asked = placed;
};

/** What was asked for, if this rig has that part. */
export const askedOf = (rig: Rig): string | undefined => rig.parts.find((part) => part.id === asked)?.id;
