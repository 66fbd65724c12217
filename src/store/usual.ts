import type { Rig } from '../core/rig';
import { sound } from './demo-data';
import { USUAL } from './usual.generated';

/** The usual rigs, each clean, to be taken and changed part by part. */
export const usualRigs = (): readonly Rig[] => USUAL.map(sound);
