import type { RigEdit } from '../../core/rig';

/** A change of a rig, several as one, and the same while a knob is still being turned: nothing is stored until it is let go. */
export interface Editing {
  readonly edit: (change: RigEdit | readonly RigEdit[]) => void;
  readonly preview: (change: RigEdit) => void;
  /** Opens the list of what can be plugged into a part. */
  readonly add: (placed: string) => void;
}
