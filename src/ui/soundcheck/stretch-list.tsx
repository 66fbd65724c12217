'use client';
import { Check, TriangleAlert } from 'lucide-react';
import type { Measures } from '../../core/signal/measure';
import { readStretches } from '../../core/signal/reading';
import { isAmiss, sayStretch } from '../../core/words/say-stretch';
import type { TakeRecord } from '../../store/records';
import { askedIn } from './read-kept';

/** How each stretch of a guided take went. */
export function StretchList({ take }: { take: TakeRecord & { readonly measures: Measures } }) {
  const { stretches = [], measures } = take;
  if (stretches.length === 0) return null;
  const readings = readStretches(measures, askedIn(take));
  return (
    <section aria-label="Stretch by stretch" className="border-line bg-card mt-3 rounded-xl border p-4">
      <h3 className="font-bold">Stretch by stretch</h3>
      <ol className="mt-1">
        {readings.map((reading, i) => {
          const amiss = isAmiss(reading);
          const Icon = amiss ? TriangleAlert : Check;
          return (
            <li
              key={stretches[i]?.from}
              data-stretch={reading.state}
              className="border-line flex gap-2 border-t py-1.5 first:border-t-0"
            >
              <Icon
                size={18}
                aria-hidden
                className={`mt-0.5 flex-none ${amiss ? 'text-brass' : 'text-sea'}`}
              />
              <div className="min-w-0">
                <p className="text-soft text-sm">{stretches[i]?.asked}</p>
                <p className={amiss ? 'font-semibold' : ''}>{sayStretch(reading)}.</p>
              </div>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
