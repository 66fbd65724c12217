'use client';
import type { Arrival } from '../../core/engine/flow';
import type { Analysis } from '../../core/judge';
import { STATE_BADGE, sayArrival, sayLevel } from '../../core/words';
import { SentenceView } from '../shared/sentence-view';
import { VERDICT_SIGN } from '../shared/verdict-sign';
import type { Analysed } from './use-analysis';

function badge(analysis: Analysis): string {
  const worst = analysis.arrives.find((a) => a.state !== 'recorded') ?? analysis.arrives[0];
  if (!worst) return 'Nothing to record';
  if (worst.state !== 'recorded') return STATE_BADGE[worst.state];
  return analysis.verdict === 'clean' ? 'Clean' : 'Recorded, with faults';
}

/** What does not get through stands above what does. */
const worstFirst = (arrives: readonly Arrival[]): Arrival[] =>
  [...arrives].sort((a, b) => Number(a.state === 'recorded') - Number(b.state === 'recorded'));

/** The verdict's sentences: they stand on top in every lens. `open`: on a phone, all of them and their levels. */
export function VerdictHead({ rig, analysis, open }: Analysed & { open: boolean }) {
  const { Icon, badge: style } = VERDICT_SIGN[analysis.verdict];
  return (
    <>
      <div aria-live="polite" data-verdict={analysis.verdict} data-state={analysis.arrives[0]?.state}>
        <p className={`inline-flex items-center gap-1.5 rounded-full px-3 py-0.5 font-semibold ${style}`}>
          <Icon size={17} aria-hidden /> {badge(analysis)}
        </p>
        {worstFirst(analysis.arrives).map((arrival, index) => (
          <div
            key={`${arrival.source} ${arrival.recorder}`}
            className={index > 0 && !open ? 'max-lg:hidden' : ''}
          >
            <h2
              className={`mt-1.5 leading-snug font-bold ${analysis.arrives.length > 1 ? 'text-lg' : 'text-xl lg:text-2xl'}`}
            >
              {sayArrival(rig, arrival)}
            </h2>
            <p className={`mt-1 ${open ? '' : 'max-lg:hidden'}`}>
              <SentenceView sentence={sayLevel(rig, arrival)} />
            </p>
          </div>
        ))}
        {analysis.arrives.length > 1 && !open && (
          <p className="text-soft lg:hidden">and {analysis.arrives.length - 1} more below</p>
        )}
        {analysis.arrives.length === 0 && (
          <h2 className="mt-1.5 text-xl font-bold">Nothing is chosen to record.</h2>
        )}
      </div>
    </>
  );
}
