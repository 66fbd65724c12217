'use client';
import type { Rig } from '../../core/rig';
import { getEngine } from '../../workers/engine';
import type { ReturnsAnswers } from '../../workers/protocol';
import { useFollowed } from '../shared/use-followed';

export interface ReturnsState {
  readonly found: ReturnsAnswers | undefined;
  readonly trouble: string | undefined;
}

const ask = (rig: Rig): Promise<ReturnsAnswers> => getEngine().returns(rig);

/** Who hears whom, as the rig is. */
export const useReturns = (rig: Rig): ReturnsState => useFollowed(rig, ask);
