'use client';
import type { Rig, RigEdit } from '../../core/rig';
import { nameOf } from '../../core/words';
import type { PowerView } from '../../core/views';

const FULL = 100;

/** How full every battery is when a planned session begins. */
export function ChargeFields({
  rig,
  view,
  edit,
}: {
  readonly rig: Rig;
  readonly view: PowerView;
  readonly edit: (change: RigEdit) => void;
}) {
  const { session } = rig.surroundings;
  if (!session || view.stores.length === 0) return null;
  const put = (placed: string, percent: number) =>
    edit({ kind: 'session', session: { charge: { [placed]: percent / FULL } } });
  return (
    <fieldset className="mt-3">
      <legend className="text-soft text-sm font-semibold">How full at the start</legend>
      {view.stores.map(({ placed, begins }) => {
        const percent = Math.round(begins * 100);
        return (
          <label key={placed} className="mt-1 flex items-center gap-2">
            <span className="min-w-0 flex-1">{nameOf(rig, placed)}</span>
            <input
              key={percent}
              type="number"
              inputMode="numeric"
              className="field w-20 text-right"
              min={0}
              max={FULL}
              step={5}
              defaultValue={percent}
              onBlur={(event) => {
                const next = Number(event.target.value);
                const known = event.target.value !== '' && next >= 0 && next <= FULL;
                if (known && Math.round(next) !== percent) put(placed, Math.round(next));
                else event.target.value = String(percent);
              }}
              onKeyDown={(event) => {
                if (event.key === 'Enter') event.currentTarget.blur();
              }}
            />
            <span aria-hidden>%</span>
          </label>
        );
      })}
    </fieldset>
  );
}
