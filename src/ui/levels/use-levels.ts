'use client';
import { useEffect, useState } from 'react';
import type { Rig } from '../../core/rig';
import type { Drawer, ProvedAdds } from '../../core/search/fixes';
import type { LevelsAtRest, LevelWay } from '../../core/search/levels';
import { getEngine, getProver } from '../../workers/engine';
import { Latest } from '../shared/latest';
import { sayThreadTrouble } from '../shared/thread-trouble';

/** A rig that stands so long is at rest, ms. */
const REST_MS = 300;

export interface LevelsState {
  readonly ways: readonly LevelWay[] | undefined;
  /** Plans and responses; absent while a knob is turned and they are worked out. */
  readonly rest: LevelsAtRest | undefined;
  /** What was proved for what the usual plan asks for; absent while that goes on. */
  readonly proved: ProvedAdds | undefined;
  readonly trouble: string | undefined;
}

/** Levels follow the rig, the last one that is asked for; what takes longer comes when it is at rest. */
export function useLevels(rig: Rig, drawer: Drawer): LevelsState {
  const [ways, setWays] = useState<readonly LevelWay[]>();
  const [rest, setRest] = useState<{ of: Rig; found: LevelsAtRest }>();
  const [proved, setProved] = useState<{ of: Rig; found: ProvedAdds }>();
  const [trouble, setTrouble] = useState<string>();
  const [queue] = useState(() => new Latest());
  const [slow] = useState(() => new Latest());
  useEffect(() => {
    let current = true;
    const failed = (error: unknown) => {
      if (current) setTrouble(sayThreadTrouble(error));
    };
    queue.run(async () => {
      if (!current) return;
      try {
        setWays(await getEngine().levelWays(rig));
        setTrouble(undefined);
      } catch (error) {
        failed(error);
      }
    });
    slow.run(async () => {
      await new Promise((rested) => setTimeout(rested, REST_MS));
      if (!current) return;
      try {
        const found = await getProver().levelsAtRest(rig);
        if (!current) return;
        setRest({ of: rig, found });
        const adds = await getProver().provedAdds(rig, drawer);
        if (current) setProved({ of: rig, found: adds });
      } catch (error) {
        failed(error);
      }
    });
    return () => {
      current = false;
    };
  }, [rig, drawer, queue, slow]);
  return {
    ways,
    rest: rest?.of === rig ? rest.found : undefined,
    proved: proved?.of === rig ? proved.found : undefined,
    trouble,
  };
}
