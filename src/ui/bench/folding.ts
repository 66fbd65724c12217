'use client';
import { useCallback, useMemo, useState } from 'react';

/** More rungs than this, drawn in full, are never seen at once: they begin folded. */
const SEEN_AT_ONCE = 8;

/** Which rungs of a ladder are one line and which are drawn in full. */
export interface Folding {
  readonly folded: boolean;
  /** What a hand has opened or folded by itself; undefined where none has. */
  readonly touched: (placed: string) => boolean | undefined;
  readonly touch: (placed: string, open: boolean) => void;
  /** Folds the whole ladder or opens it; what was touched is forgotten. */
  readonly foldAll: (folded: boolean) => void;
}

/** The rung that the address asks for, `#part`. */
export const rungInAddress = (): string => decodeURIComponent(window.location.hash.slice(1));

export function useFolding(rungs: number): Folding {
  const [chosen, setChosen] = useState<boolean>();
  const [hands, setHands] = useState<ReadonlyMap<string, boolean>>(() => new Map([[rungInAddress(), true]]));
  const folded = chosen ?? rungs > SEEN_AT_ONCE;
  const touched = useCallback((placed: string) => hands.get(placed), [hands]);
  const touch = useCallback(
    (placed: string, open: boolean) => setHands((before) => new Map(before).set(placed, open)),
    [],
  );
  const foldAll = useCallback((all: boolean) => {
    setChosen(all);
    setHands(new Map());
  }, []);
  return useMemo(() => ({ folded, touched, touch, foldAll }), [folded, touched, touch, foldAll]);
}
