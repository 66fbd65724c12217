import type { Finding } from '../../core/checks';
import type { JointView } from '../../core/views';

/** A joint as its drawing wants it. */
export interface JointPicture {
  readonly joint: JointView;
  /** Short words for the two rows: "lead", "brings". */
  readonly plugLabel: readonly [string, string];
  readonly jackLabel: readonly [string, string];
  /** Sound comes from this side: its letters are filled. */
  readonly plugBrings: boolean;
  readonly jackBrings: boolean;
  readonly finding: Finding | undefined;
  readonly bracket: string;
  readonly description: string;
}
