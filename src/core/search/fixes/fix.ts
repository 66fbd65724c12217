import type { Outcome } from '../../judge';
import type { RigEdit } from '../../rig';

/** An edit that the pipeline has proved: the finding goes, and nothing as bad comes. */
export interface Fix {
  readonly edit: RigEdit;
  /** Knobs that go with it: what it lets through would be too low as they stand. */
  readonly then?: readonly RigEdit[];
  /** The catalogue part that it needs, if any, and whether the drawer has one to spare. */
  readonly part?: string;
  readonly owned: boolean;
  /** Typical price of what must be bought. */
  readonly cost: number;
  /** Price and bother: by what it is chosen. */
  readonly weight: number;
  readonly outcome: Outcome;
  /** How many loudspeakers then play something. */
  readonly rooms: number;
}

/** All that a fix does, in its order. */
export const editsOf = ({ edit, then = [] }: Pick<Fix, 'edit' | 'then'>): readonly RigEdit[] => [
  edit,
  ...then,
];
