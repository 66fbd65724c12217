'use client';
import { useCallback, useEffect, useState } from 'react';

/** The ways of looking at one rig, in the order of their keys. */
export const LENSES = [
  { id: 'wiring', name: 'Wiring', key: 'lensWiring' },
  { id: 'levels', name: 'Levels', key: 'lensLevels' },
  { id: 'power', name: 'Power', key: 'lensPower' },
  { id: 'returns', name: 'Returns', key: 'lensReturns' },
] as const;

export type LensId = (typeof LENSES)[number]['id'];

const NAME = 'lens';

function lensInAddress(): LensId {
  const asked = new URLSearchParams(window.location.search).get(NAME);
  return LENSES.find(({ id }) => id === asked)?.id ?? 'wiring';
}

/** The lens that the address names; another is written there, so that a link to it can be given. */
export function useLens(): readonly [LensId, (lens: LensId) => void] {
  const [lens, setLens] = useState<LensId>(lensInAddress);
  useEffect(() => {
    const back = () => setLens(lensInAddress());
    window.addEventListener('popstate', back);
    return () => window.removeEventListener('popstate', back);
  }, []);
  const choose = useCallback((next: LensId) => {
    const address = new URL(window.location.href);
    if (next === 'wiring') address.searchParams.delete(NAME);
    else address.searchParams.set(NAME, next);
    window.history.replaceState(window.history.state, '', address);
    setLens(next);
  }, []);
  return [lens, choose];
}
