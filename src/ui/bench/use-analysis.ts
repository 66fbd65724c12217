'use client';
import { startTransition, useEffect, useState } from 'react';
import { editsOf } from '../../core/search/fixes/fix';
import type { Drawer, Fixes } from '../../core/search/fixes';
import type { WayOut } from '../../core/search/way-out';
import type { Analysis } from '../../core/judge';
import type { Rig, RigEdit } from '../../core/rig';
import { getEngine, getProver } from '../../workers/engine';
import { Latest } from '../shared/latest';
import { sayThreadTrouble } from '../shared/thread-trouble';

/** An analysis with the very rig it speaks of. */
export interface Analysed {
  readonly rig: Rig;
  readonly analysis: Analysis;
}

/** The newest analysis, or why there is none. */
export interface AnalysisState {
  readonly analysed?: Analysed;
  readonly trouble?: string;
  /** Asks again. */
  readonly again: () => void;
}

/** The newest analysis; while the engine works on an edited rig the one before stays, and of edits that come meanwhile the last counts. */
export function useAnalysis(rig: Rig): AnalysisState {
  const [analysed, setAnalysed] = useState<Analysed>();
  const [trouble, setTrouble] = useState<{ of: Rig; says: string }>();
  const [tries, setTries] = useState(0);
  const [queue] = useState(() => new Latest());
  useEffect(() => {
    let current = true;
    queue.run(async () => {
      if (!current) return;
      try {
        const analysis = await getEngine().analyse(rig);
        // Drawn in slices: the hand on a knob comes first. One that is late is still newer than what is shown.
        startTransition(() => {
          setAnalysed({ rig, analysis });
          setTrouble(undefined);
        });
      } catch (error) {
        if (current) setTrouble({ of: rig, says: sayThreadTrouble(error) });
      }
    });
    return () => {
      current = false;
    };
  }, [rig, tries, queue]);
  return {
    again: () => setTries((n) => n + 1),
    ...(analysed?.rig.id === rig.id && { analysed }),
    ...(trouble?.of === rig && { trouble: trouble.says }),
  };
}

const NONE: readonly Fixes[] = [];
/** A rig that stands so long is at rest. */
const REST_MS = 250;

/** What is proved to help, finding by finding. */
export interface FixesState {
  /** In the order of the analysis, as they are proved; shorter than the findings while that goes on. */
  readonly fixes: readonly Fixes[];
  /** The first of them in words. */
  readonly first?: { readonly says: string; readonly edits: readonly RigEdit[] };
  /** Steps after which the whole rig is clean, or why there are none; absent while they are sought, and where none are needed. */
  readonly out?: WayOut;
  /** Why it does not go on. */
  readonly trouble?: string;
}

/** The best of some fixes in words, which are fetched when there is one. */
async function inWords(rig: Rig, { fixes: [best] }: Fixes): Promise<FixesState['first']> {
  if (!best) return undefined;
  const { sayEdits } = await import('../../core/words/say-edit');
  const edits = editsOf(best);
  return { says: sayEdits(rig, edits), edits };
}

export function useFixes(analysed: Analysed | undefined, drawer: Drawer): FixesState {
  const [found, setFound] = useState<FixesState & { of: Analysed }>();
  const [queue] = useState(() => new Latest());
  useEffect(() => {
    if (!analysed) return undefined;
    let current = true;
    queue.run(async () => {
      const fixes: Fixes[] = [];
      let out: WayOut | undefined;
      let first: FixesState['first'];
      const tell = (more: { trouble?: string } = {}) =>
        setFound({ of: analysed, fixes: [...fixes], ...(first && { first }), ...(out && { out }), ...more });
      const { rig } = analysed;
      // While a hand is on a knob there is nothing to prove.
      await new Promise((rested) => setTimeout(rested, REST_MS));
      try {
        for (const finding of analysed.analysis.findings) {
          if (!current) return;
          const found = await getProver().fixes(rig, finding, drawer);
          fixes.push(found);
          first ??= await inWords(rig, found);
          if (current) tell();
          if (!current || out || analysed.analysis.verdict === 'clean') continue;
          out = await getProver().wayOut(rig, drawer, fixes);
          if (current) tell();
        }
      } catch (error) {
        if (current) tell({ trouble: sayThreadTrouble(error) });
      }
    });
    return () => {
      current = false;
    };
  }, [analysed, drawer, queue]);
  return found && found.of === analysed ? found : { fixes: NONE };
}
