'use client';
import type { Measures } from '../../core/signal/measure';
import type { TakeRecord } from '../../store/records';

/** Mean and loudest tenth of a second of a stretch, at the louder side, dBFS. */
export function stretchLevel(
  { windows }: Pick<Measures, 'windows'>,
  from: number,
  to: number,
): { mean: number; most: number } {
  const each = windows.map((powers) =>
    powers.subarray(Math.floor(from * 10), Math.max(Math.floor(from * 10) + 1, Math.floor(to * 10))),
  );
  const db = (p: number) => (p > 0 ? 10 * Math.log10(p) : -Infinity);
  return {
    mean: Math.max(...each.map((p) => db(p.reduce((a, b) => a + b, 0) / Math.max(1, p.length)))),
    most: Math.max(...each.map((p) => db(p.reduce((a, b) => Math.max(a, b), 0)))),
  };
}

const say = (db: number): string =>
  Number.isFinite(db) ? `${db.toFixed(0).replace('-', '−')} dBFS` : 'nothing';

/** What came in each stretch of a guided take. */
export function StretchList({ take }: { take: TakeRecord & { readonly measures: Measures } }) {
  const { stretches, measures } = take;
  if (!stretches || stretches.length === 0) return null;
  return (
    <section aria-label="Stretch by stretch" className="border-line bg-card mt-3 rounded-xl border p-4">
      <h3 className="font-bold">Stretch by stretch</h3>
      <table className="mt-1 w-full">
        <tbody>
          {stretches.map(({ asked, from, to }) => {
            const { mean, most } = stretchLevel(measures, from, to);
            return (
              <tr key={from} className="border-line border-t first:border-t-0">
                <th scope="row" className="py-1 pr-2 text-left font-normal">
                  {asked}
                </th>
                <td className="py-1 text-right whitespace-nowrap">
                  {say(mean)}, up to {say(most)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
