'use client';
import { useEffect, useState } from 'react';
import type { Option } from '../../core/search/fixes';
import { sayOutcome } from '../../core/words';
import type { Rig, RigEdit } from '../../core/rig';
import { getProver } from '../../workers/engine';
import { VERDICT_SIGN } from '../shared/verdict-sign';

/** What each edit would do, in their order; nothing until the prover has answered. */
export function useOutcomes(rig: Rig, edits: readonly RigEdit[]): readonly Option[] {
  const [found, setFound] = useState<{ of: readonly RigEdit[]; options: readonly Option[] }>();
  useEffect(() => {
    let current = true;
    void getProver()
      .outcomes(rig, edits)
      .then(
        (options) => current && setFound({ of: edits, options }),
        () => current && setFound({ of: edits, options: [] }),
      );
    return () => {
      current = false;
    };
  }, [rig, edits]);
  return found?.of === edits ? found.options : [];
}

/** What the rig would then do, in a line. */
export function Outcome({ rig, option }: { rig: Rig; option: Option | undefined }) {
  if (!option) return null;
  const { Icon, word, text } = VERDICT_SIGN[option.outcome.verdict];
  return (
    <span className={`flex items-start gap-1 text-sm ${text}`}>
      <Icon size={16} aria-hidden className="mt-0.5 flex-none" /> {word}. {sayOutcome(rig, option.outcome)}
    </span>
  );
}
