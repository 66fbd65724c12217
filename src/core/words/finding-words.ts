import type { Finding } from '../checks';
import type { Rig } from '../rig';
import type { Sentence } from './sentence';

/** How a finding is put into words. What it is held against stands in its check. */
export interface FindingWords {
  readonly title: string;
  /** Why, with the measured value beside its limit. */
  readonly says: (rig: Rig, finding: Finding) => Sentence;
  /** A heading of its own where the joint itself says what is wrong. */
  readonly heading?: (rig: Rig, finding: Finding) => string | undefined;
  /** Three or four words beside the contacts at fault. */
  readonly bracket?: (rig: Rig, finding: Finding) => string;
}
