'use client';
import type { Rig, RigEdit, SessionLoad } from '../../core/rig';
import { nameOf, sayMinutes } from '../../core/words';
import type { PowerView } from '../../core/views';

const LENGTHS = [15, 30, 60, 90, 120, 180, 240, 360, 480, 720];
const LOADS: readonly (readonly [SessionLoad, string])[] = [
  ['sound', 'sound alone'],
  ['film', 'filming'],
  ['stream', 'streaming or a call'],
];

interface FormProps {
  readonly rig: Rig;
  readonly edit: (change: RigEdit) => void;
}

/** How long, and what the phone does meanwhile. */
export function SessionForm({ rig, edit }: FormProps) {
  const { session } = rig.surroundings;
  const minutes = session?.minutes ?? 0;
  const lengths = LENGTHS.includes(minutes) || minutes === 0 ? LENGTHS : [...LENGTHS, minutes];
  return (
    <div className="mt-1 flex flex-wrap items-center gap-2">
      <label className="flex items-center gap-2">
        <span>Session</span>
        <select
          className="field"
          value={minutes}
          onChange={(event) => {
            const next = Number(event.target.value);
            edit(next === 0 ? { kind: 'session' } : { kind: 'session', session: { minutes: next } });
          }}
        >
          <option value={0}>not planned</option>
          {lengths.map((one) => (
            <option key={one} value={one}>
              {sayMinutes(one)}
            </option>
          ))}
        </select>
      </label>
      {session && (
        <label className="flex items-center gap-2">
          <span>for</span>
          <select
            className="field"
            value={session.load ?? ''}
            onChange={(event) => {
              const load = LOADS.find(([id]) => id === event.target.value)?.[0];
              edit({ kind: 'session', session: { load: load ?? null } });
            }}
          >
            <option value="">as the app asks</option>
            {LOADS.map(([id, name]) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
      )}
    </div>
  );
}

/** Which strip or outlet each thing on the mains is in, and what the place is like. */
export function MainsForm({ rig, view, edit }: FormProps & { view: PowerView }) {
  const onMains = view.supplies.filter(({ is }) => is === 'mains');
  if (onMains.length === 0) return null;
  const places = [...new Set(rig.parts.flatMap(({ mains }) => mains ?? []))];
  const site = rig.surroundings.mains;
  return (
    <section aria-label="Where it is plugged in" className="mt-4">
      <h3 className="text-soft text-sm font-semibold">Where it is plugged in</h3>
      <datalist id="places">
        {places.map((place) => (
          <option key={place} value={place} />
        ))}
      </datalist>
      {onMains.map(({ placed, place }) => (
        <label key={placed} className="mt-1 flex flex-wrap items-center gap-2">
          <span className="min-w-0 flex-1">{nameOf(rig, placed)}</span>
          <input
            key={place ?? ''}
            className="field w-40"
            list="places"
            maxLength={60}
            placeholder="somewhere"
            defaultValue={place ?? ''}
            onBlur={(event) => {
              const next = event.target.value.trim();
              if (next !== (place ?? '')) edit({ kind: 'outlet', part: placed, place: next });
            }}
            onKeyDown={(event) => {
              if (event.key === 'Enter') event.currentTarget.blur();
            }}
          />
        </label>
      ))}
      <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1">
        <label className="inline-flex min-h-11 items-center gap-2 lg:min-h-8">
          <input
            type="checkbox"
            checked={site?.wet === true}
            onChange={(event) => edit({ kind: 'site', wet: event.target.checked })}
          />
          Outdoors or in the wet
        </label>
        <label className="inline-flex items-center gap-2">
          Mains
          <select
            className="field"
            value={site?.hertz ?? 50}
            onChange={(event) => edit({ kind: 'site', hertz: event.target.value === '60' ? 60 : 50 })}
          >
            <option value={50}>50 Hz</option>
            <option value={60}>60 Hz</option>
          </select>
        </label>
      </div>
    </section>
  );
}
