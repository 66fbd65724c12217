'use client';
import { useEffect, useState } from 'react';
import type { Rig } from '../../core/rig';
import { Latest } from './latest';
import { sayThreadTrouble } from './thread-trouble';

/** What the engine says of a rig; it follows the rig, the last one that is asked for. `ask` stays the same from drawing to drawing. */
export function useFollowed<T>(
  rig: Rig,
  ask: (rig: Rig) => Promise<T>,
): { readonly found: T | undefined; readonly trouble: string | undefined } {
  const [found, setFound] = useState<T>();
  const [trouble, setTrouble] = useState<string>();
  const [queue] = useState(() => new Latest());
  useEffect(() => {
    let current = true;
    queue.run(async () => {
      if (!current) return;
      try {
        const answer = await ask(rig);
        setFound(() => answer);
        setTrouble(undefined);
      } catch (error) {
        if (current) setTrouble(sayThreadTrouble(error));
      }
    });
    return () => {
      current = false;
    };
  }, [rig, ask, queue]);
  return { found, trouble };
}
