import type { Finding, FindingCode } from '../checks';
import type { Rig } from '../rig';
import { own } from '../schema';
import type { FindingWords } from './finding-words';
import { APP_WORDS } from './findings/apps';
import { CONTACT_WORDS } from './findings/contacts';
import { DEVICE_WORDS } from './findings/devices';
import { LEVEL_WORDS } from './findings/levels';
import { PEOPLE_WORDS } from './findings/people';
import { POWER_WORDS } from './findings/power';
import type { Sentence } from './sentence';

/** The words of every finding. */
export const FINDING_WORDS: Readonly<Record<FindingCode, FindingWords>> = {
  ...CONTACT_WORDS,
  ...DEVICE_WORDS,
  ...APP_WORDS,
  ...LEVEL_WORDS,
  ...POWER_WORDS,
  ...PEOPLE_WORDS,
};

const wordsOf = ({ code }: Finding): FindingWords | undefined => own<FindingWords>(FINDING_WORDS, code);

/** Why: with the measured value beside its limit. */
export const sayReason = (rig: Rig, finding: Finding): Sentence =>
  wordsOf(finding)?.says(rig, finding) ?? [finding.code];

/** The heading: what the joint looks like if a joint is at fault, else the finding's title. */
export const sayTitle = (rig: Rig, finding: Finding): string =>
  wordsOf(finding)?.heading?.(rig, finding) ?? wordsOf(finding)?.title ?? finding.code;

/** Three or four words beside the contacts at fault. */
export const sayBracket = (rig: Rig, finding: Finding): string =>
  wordsOf(finding)?.bracket?.(rig, finding) ?? (wordsOf(finding)?.title ?? finding.code).toLowerCase();
