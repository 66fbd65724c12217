'use client';
import { useEffect, useState } from 'react';
import type { Rig, RigEdit } from '../../core/rig';
import type { HumView, PowerView } from '../../core/views';
import type { PowerAnswer } from '../../core/words';
import { getEngine, getProver } from '../../workers/engine';
import type { PowerAnswers } from '../../workers/protocol';
import { useFollowed } from '../shared/use-followed';

export interface PowerState {
  readonly view: PowerView | undefined;
  /** Starts it, lasts it, hums it. */
  readonly answers: readonly PowerAnswer[];
  readonly trouble: string | undefined;
}

const ask = (rig: Rig): Promise<PowerAnswers> => getEngine().powerAnswers(rig);

/** Supply and earths, as the rig is. */
export function usePower(rig: Rig): PowerState {
  const { found, trouble } = useFollowed(rig, ask);
  return { view: found?.view, answers: found?.answers ?? [], trouble };
}

/** Hum at each recorder after each of these edits; absent while it is worked out. */
export function useHumsAfter(rig: Rig, edits: readonly RigEdit[]): readonly HumView[][] | undefined {
  const [found, setFound] = useState<{ of: string; hums: HumView[][] }>();
  const key = JSON.stringify([rig, edits]);
  useEffect(() => {
    if (edits.length === 0) return undefined;
    let current = true;
    getProver()
      .humsAfter(rig, edits)
      .then((hums) => {
        if (current) setFound({ of: key, hums });
      })
      .catch(() => {
        // The fixes stand without their figures; the thread's own trouble is told above them.
      });
    return () => {
      current = false;
    };
    // The key says all that the others say.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return found?.of === key ? found.hums : undefined;
}
