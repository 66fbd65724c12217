'use client';
import { Check, TriangleAlert } from 'lucide-react';
import { useEffect, useState } from 'react';
import { heldAgainst } from '../../core/diagnosis';
import type { Arrival } from '../../core/engine/flow';
import type { Rig } from '../../core/rig';
import type { Measures } from '../../core/signal/measure';
import { readStretches } from '../../core/signal/reading';
import { isAmiss, sayHeld, sayStretch } from '../../core/words/say-stretch';
import type { TakeRecord } from '../../store/records';
import { getEngine } from '../../workers/engine';
import { askedIn } from './read-kept';

/** What a rig predicts at a recorder; nothing while no rig is chosen, or it cannot be said. */
function useArrivals(rig: Rig | undefined, recorder: string | undefined): readonly Arrival[] {
  const [found, setFound] = useState<{ of: Rig; arrives: readonly Arrival[] }>();
  useEffect(() => {
    if (!rig) return undefined;
    let current = true;
    getEngine()
      .analyse(rig)
      .then(
        ({ arrives }) => current && setFound({ of: rig, arrives }),
        // What the rig predicts is told below, and why it cannot be.
        () => undefined,
      );
    return () => {
      current = false;
    };
  }, [rig]);
  return found && found.of === rig ? found.arrives.filter((a) => a.recorder === recorder) : [];
}

/** How each stretch of a guided take went, beside what the rig predicts of it. */
export function StretchList(props: {
  take: TakeRecord & { readonly measures: Measures };
  rig: Rig | undefined;
  recorder: string | undefined;
}) {
  const { take, rig, recorder } = props;
  const arrivals = useArrivals(rig, recorder);
  const { stretches = [], measures } = take;
  if (stretches.length === 0) return null;
  const asked = askedIn(take);
  const readings = readStretches(measures, asked);
  return (
    <section aria-label="Stretch by stretch" className="border-line bg-card mt-3 rounded-xl border p-4">
      <h3 className="font-bold">Stretch by stretch</h3>
      <ol className="mt-1">
        {readings.map((reading, i) => {
          const held = asked[i] && heldAgainst(asked[i], reading, arrivals, measures.windows.length);
          const amiss = isAmiss(reading) || held?.agrees === false;
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
                {held && <p className="text-soft text-sm">{sayHeld(held)}.</p>}
              </div>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
