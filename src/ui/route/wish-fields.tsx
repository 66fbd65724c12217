'use client';
import type { Part } from '../../core/parts';
import { DEFAULT_APP } from '../../core/apps';
import type { Preference, Wishes } from '../../core/search/route';
import { DistanceFields } from './distance-fields';
import { FigureWish } from './figure-wish';
import { DestinationChoice } from './request-form';
import type { Question } from './use-request';

interface WishFieldsProps {
  readonly question: Question;
  readonly change: (next: Question) => void;
  readonly parts: readonly Part[];
  readonly currency: string;
}

/** Wishes that are made or not. */
const TOGGLES = [
  ['charge', 'Keep charging'],
  ['hear', 'Hear what it plays back'],
  ['guests', 'Hear guests or callers'],
  ['callers', 'Callers come back into the mixer'],
  ['worn', 'On a gimbal or worn'],
  ['buyNothing', 'Buy nothing'],
] as const satisfies readonly (readonly [keyof Wishes, string])[];

const CHANNELS = [
  ['', 'as is usual'],
  ['mixed', 'every source on every side'],
  ['mono', 'mono is enough'],
  ['stereo', 'on both sides'],
  ['apart', 'a side or track each'],
] as const;

const PREFERENCES = [
  ['money', 'least money'],
  ['pieces', 'fewest pieces'],
  ['sound', 'best sound'],
] as const satisfies readonly (readonly [Preference, string])[];

function withWish(wishes: Wishes | undefined, name: keyof Wishes, value: unknown): Wishes {
  const { [name]: _old, ...rest } = wishes ?? {};
  return value === undefined || value === false || value === '' ? rest : { ...rest, [name]: value };
}

/** The first phone or tablet other than the one that is asked for, with the same app. */
function otherHost(parts: readonly Part[], { destinations: [first] }: Question) {
  const other = parts.find((part) => part.host?.runsApps && part.id !== first?.part);
  return other && { part: other.id, app: first?.app ?? DEFAULT_APP };
}

/** What else is wished, each of which may be left alone. */
export function WishFields({ question, change, parts, currency }: WishFieldsProps) {
  const wishes = question.wishes ?? {};
  const set = (name: keyof Wishes, value: unknown) =>
    change({ ...question, wishes: withWish(wishes, name, value) });
  return (
    <fieldset className="border-line mt-4 rounded-xl border p-3">
      <legend className="px-1 font-semibold">And I wish</legend>
      <div className="flex flex-wrap gap-x-5 gap-y-2">
        {TOGGLES.map(([name, says]) => (
          <label key={name} className="flex min-h-9 items-center gap-2 pointer-coarse:min-h-11">
            <input
              type="checkbox"
              className="size-5 accent-[var(--sea)]"
              checked={wishes[name] === true}
              onChange={(event) => set(name, event.target.checked)}
            />
            {says}
          </label>
        ))}
        <label className="flex min-h-9 items-center gap-2 pointer-coarse:min-h-11">
          <input
            type="checkbox"
            className="size-5 accent-[var(--sea)]"
            checked={wishes.risk === 'proven'}
            onChange={(event) => set('risk', event.target.checked ? 'proven' : undefined)}
          />
          Only what is proven
        </label>
      </div>
      <div className="mt-3 flex flex-wrap gap-x-5 gap-y-2">
        <label className="flex flex-wrap items-center gap-2">
          First comes
          <select
            className="field"
            value={question.prefer ?? 'money'}
            onChange={(event) => change({ ...question, prefer: event.target.value as Preference })}
          >
            {PREFERENCES.map(([id, says]) => (
              <option key={id} value={id}>
                {says}
              </option>
            ))}
          </select>
        </label>
        <label className="flex flex-wrap items-center gap-2">
          Sides
          <select
            className="field"
            value={wishes.channels ?? ''}
            onChange={(event) => set('channels', event.target.value)}
          >
            {CHANNELS.map(([id, says]) => (
              <option key={id} value={id}>
                {says}
              </option>
            ))}
          </select>
        </label>
        <FigureWish
          label="Leads bridge"
          unit="m"
          value={wishes.length}
          set={(value) => set('length', value)}
        />
        <FigureWish
          label="At most"
          unit={currency}
          value={wishes.budget}
          set={(value) => set('budget', value)}
        />
      </div>
      <DistanceFields question={question} change={change} parts={parts} />
      <div className="mt-3 flex flex-wrap items-center gap-2">
        <label className="flex min-h-9 items-center gap-2 pointer-coarse:min-h-11">
          <input
            type="checkbox"
            className="size-5 accent-[var(--sea)]"
            checked={wishes.also !== undefined}
            onChange={(event) => set('also', event.target.checked ? otherHost(parts, question) : undefined)}
          />
          The same gear also works with
        </label>
        {wishes.also && (
          <DestinationChoice
            title="Which second one?"
            parts={parts}
            destination={wishes.also}
            change={(next) => set('also', next)}
          />
        )}
      </div>
    </fieldset>
  );
}
