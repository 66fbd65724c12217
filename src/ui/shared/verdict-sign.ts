import { CircleAlert, CircleCheck, TriangleAlert } from 'lucide-react';
import type { Verdict } from '../../core/judge';

interface VerdictSign {
  readonly Icon: typeof CircleCheck;
  readonly word: string;
  /** As text on a card, and as a filled badge. */
  readonly text: string;
  readonly badge: string;
}

const bad = { Icon: CircleAlert, text: 'text-vermilion', badge: 'bg-vermilion text-on-vermilion' };

/** Shape, word and colour of a verdict: never the colour alone. */
export const VERDICT_SIGN: Record<Verdict, VerdictSign> = {
  clean: { Icon: CircleCheck, word: 'clean', text: 'text-sea', badge: 'bg-sea text-on-sea' },
  faulty: { Icon: TriangleAlert, word: 'with faults', text: 'text-brass', badge: 'bg-brass text-on-brass' },
  silent: { ...bad, word: 'not recorded' },
  unsafe: { ...bad, word: 'unsafe' },
};
