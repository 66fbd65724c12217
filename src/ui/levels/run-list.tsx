'use client';
import type { Rig } from '../../core/rig';
import type { LevelWay, RunView } from '../../core/search/levels';
import { nameOf } from '../../core/words';
import { formatDb } from '../../core/units';

/** A run shorter than this is a patch: nobody asks how long it may be, m. */
const PATCH = 1;
const PLACES = [
  ['quiet', 'quiet room'],
  ['show', 'show floor'],
  ['stage', 'stage'],
] as const;

/** The two rules of thumb for what is not balanced (common practice). */
const thumb = ({ metres, balanced }: RunView): string =>
  balanced
    ? 'Rules of thumb are for unbalanced leads.'
    : metres > 6
      ? 'Longer than both rules of thumb, 3 m for line and 6 m for microphones.'
      : metres > 3
        ? 'Over the rule of thumb for line, 3 m; within that for microphones, 6 m.'
        : 'Within both rules of thumb, 3 m and 6 m.';

const sayMetres = (metres: number): string =>
  metres > 300 ? 'over 300 m' : `${Number(metres.toPrecision(2))} m`;

/** How long each run of lead is, and how far what it picks up stays under the peaks, by where it lies. */
export function RunList({ rig, way }: { rig: Rig; way: LevelWay }) {
  const runs = way.runs.filter(({ metres }) => metres >= PATCH);
  if (runs.length === 0) return null;
  return (
    <section aria-label="Runs of lead" className="mt-4">
      <h3 className="text-soft text-sm font-semibold">Runs of lead</h3>
      {runs.map((run) => (
        <div key={run.parts.join()} className="border-line mt-1 border-t pt-1 text-sm">
          <p>
            <span className="font-semibold">{run.parts.map((id) => nameOf(rig, id)).join(', ')}</span>:{' '}
            {Number(run.metres.toFixed(1))} m, {run.balanced ? 'balanced' : 'unbalanced'}. {thumb(run)}
          </p>
          <table className="mt-0.5">
            <thead className="text-soft text-left">
              <tr>
                <th className="pr-3 font-normal">What it picks up</th>
                <th className="pr-3 text-right font-normal">under the peaks</th>
                <th className="text-right font-normal">60 dB under: up to</th>
              </tr>
            </thead>
            <tbody>
              {PLACES.map(([place, name]) => (
                <tr key={place}>
                  <th scope="row" className="text-soft pr-3 text-left font-normal">
                    {name}
                  </th>
                  <td className="pr-3 text-right font-mono text-xs">{formatDb(run.under[place])}</td>
                  <td className="text-right font-mono text-xs">{sayMetres(run.longest[place])}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      ))}
      <p className="text-soft mt-1 text-sm">
        What a metre picks up is our own figure, within ±10 dB; a loop of earths is not in it.
      </p>
    </section>
  );
}
