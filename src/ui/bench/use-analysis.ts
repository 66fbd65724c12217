'use client';
import { startTransition, useEffect, useState } from 'react';
import type { Drawer, Fix } from '../../core/fixes';
import type { Analysis } from '../../core/pipeline';
import type { Rig } from '../../core/rig';
import { getEngine, getProver } from '../../workers/engine';

/** An analysis with the very rig it speaks of. */
export interface Analysed {
  readonly rig: Rig;
  readonly analysis: Analysis;
}

/** The newest analysis; while the engine works on an edited rig the one before stays. */
export function useAnalysis(rig: Rig): Analysed | undefined {
  const [analysed, setAnalysed] = useState<Analysed>();
  useEffect(() => {
    let current = true;
    void getEngine()
      .analyse(rig)
      .then((analysis) => {
        // Drawn in slices: the hand on a knob comes first.
        if (current) startTransition(() => setAnalysed({ rig, analysis }));
      });
    return () => {
      current = false;
    };
  }, [rig]);
  return analysed?.rig.id === rig.id ? analysed : undefined;
}

const NONE: readonly Fix[][] = [];

/** Fixes by finding, in the order of the analysis, as they are proved; shorter than the findings while that goes on. */
export function useFixes(analysed: Analysed | undefined, drawer: Drawer): readonly Fix[][] {
  const [found, setFound] = useState<{ of: Analysed; fixes: Fix[][] }>();
  useEffect(() => {
    if (!analysed) return undefined;
    let current = true;
    const prove = async () => {
      const fixes: Fix[][] = [];
      for (const finding of analysed.analysis.findings) {
        if (!current) return;
        fixes.push(await getProver().fixes(analysed.rig, finding, drawer));
        if (current) setFound({ of: analysed, fixes: [...fixes] });
      }
    };
    void prove();
    return () => {
      current = false;
    };
  }, [analysed, drawer]);
  return found && found.of === analysed ? found.fixes : NONE;
}
