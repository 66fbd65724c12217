'use client';
import { useEffect, useState } from 'react';
import type { Rig } from '../../core/rig';
import { getEngine } from '../../workers/engine';
import type { ReturnsAnswers } from '../../workers/protocol';
import { Latest } from '../shared/latest';
import { sayThreadTrouble } from '../shared/thread-trouble';

export interface ReturnsState {
  readonly found: ReturnsAnswers | undefined;
  readonly trouble: string | undefined;
}

/** Who hears whom follows the rig, the last one that is asked for. */
export function useReturns(rig: Rig): ReturnsState {
  const [found, setFound] = useState<ReturnsAnswers>();
  const [trouble, setTrouble] = useState<string>();
  const [queue] = useState(() => new Latest());
  useEffect(() => {
    let current = true;
    queue.run(async () => {
      if (!current) return;
      try {
        setFound(await getEngine().returns(rig));
        setTrouble(undefined);
      } catch (error) {
        if (current) setTrouble(sayThreadTrouble(error));
      }
    });
    return () => {
      current = false;
    };
  }, [rig, queue]);
  return { found, trouble };
}
