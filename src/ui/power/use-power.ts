'use client';
import { useEffect, useState } from 'react';
import type { Rig, RigEdit } from '../../core/rig';
import type { HumView, PowerView } from '../../core/views';
import type { PowerAnswer } from '../../core/words';
import { getEngine, getProver } from '../../workers/engine';
import type { PowerAnswers } from '../../workers/protocol';
import { Latest } from '../shared/latest';
import { sayThreadTrouble } from '../shared/thread-trouble';

export interface PowerState {
  readonly view: PowerView | undefined;
  /** Starts it, lasts it, hums it. */
  readonly answers: readonly PowerAnswer[];
  readonly trouble: string | undefined;
}

/** Supply and earths follow the rig, the last one that is asked for. */
export function usePower(rig: Rig): PowerState {
  const [found, setFound] = useState<PowerAnswers>();
  const [trouble, setTrouble] = useState<string>();
  const [queue] = useState(() => new Latest());
  useEffect(() => {
    let current = true;
    queue.run(async () => {
      if (!current) return;
      try {
        setFound(await getEngine().powerAnswers(rig));
        setTrouble(undefined);
      } catch (error) {
        if (current) setTrouble(sayThreadTrouble(error));
      }
    });
    return () => {
      current = false;
    };
  }, [rig, queue]);
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
