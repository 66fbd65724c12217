'use client';
import { partOf, type Rig } from '../../core/rig';
import { nameOf } from '../../core/words';
import type { PowerView } from '../../core/views';
import { sayCurrent } from './say-row';

/** "48 V on", "Lights off". */
function sayPlace(rig: Rig, placed: string, id: string, option: string | undefined): string {
  const setting = partOf(rig, placed)?.settings?.find((one) => one.id === id);
  const place = setting?.kind === 'switch' ? setting.options.find((one) => one.id === option) : undefined;
  return `${setting?.name ?? id} ${place?.name ?? option ?? ''}`;
}

/** What each USB box takes from when it is plugged in on, by how its switches stand. */
export function DeviceDraws({ rig, view }: { readonly rig: Rig; readonly view: PowerView }) {
  if (view.draws.length === 0) return null;
  return (
    <section aria-label="What each box takes" className="mt-4">
      <h3 className="text-soft text-sm font-semibold">What each box takes</h3>
      <ul className="mt-1 space-y-1">
        {view.draws.map(({ placed, atFirst, states }) => (
          <li key={placed}>
            <span>{nameOf(rig, placed)}</span>
            {': '}
            {states.some(({ takes }) => takes > atFirst) && (
              <span className="text-soft">at first {sayCurrent(atFirst)} at the most; then </span>
            )}
            {states.map(({ setting, option, now, declared, takes }, index) => (
              <span key={index} className={now ? 'font-semibold' : 'text-soft'}>
                {index > 0 && ', '}
                <span className="figure">{sayCurrent(takes)}</span>
                {setting !== undefined && ` with ${sayPlace(rig, placed, setting, option)}`}
                {declared !== takes && ` (${sayCurrent(declared)} on paper)`}
                {now && states.length > 1 && ' as now'}
              </span>
            ))}
          </li>
        ))}
      </ul>
    </section>
  );
}
