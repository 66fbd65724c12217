'use client';
import { X } from 'lucide-react';
import type { Part } from '../../core/parts';
import { FigureWish } from './figure-wish';

const without = (list: readonly string[], id: string): string[] => list.filter((one) => one !== id);

/** Which sockets of a thing cannot be used: they are broken, or in use for something else. */
export function UnusablePorts(props: {
  part: Part | undefined;
  unusable: readonly string[] | undefined;
  change: (unusable: readonly string[]) => void;
}) {
  const { part, unusable = [], change } = props;
  // Of one socket there is nothing to choose.
  if (!part || part.ports.length < 2) return null;
  const names = part.ports.filter(({ id }) => unusable.includes(id)).map(({ name }) => name);
  return (
    <details className="w-full sm:pl-22">
      <summary className="text-soft cursor-pointer py-1 text-sm pointer-coarse:py-3">
        {names.length > 0 ? `Not to be used: ${names.join(', ')}` : 'A socket is broken or in use'}
      </summary>
      <fieldset className="flex flex-wrap gap-x-5 gap-y-1 py-1">
        <legend className="sr-only">Sockets of the {part.name} that are broken or in use</legend>
        {part.ports.map(({ id, name }) => (
          <label key={id} className="inline-flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5 accent-[var(--sea)]"
              checked={unusable.includes(id)}
              onChange={(event) => change(event.target.checked ? [...unusable, id] : without(unusable, id))}
            />
            {name}
          </label>
        ))}
      </fieldset>
    </details>
  );
}

/** Devices that bring no sound and share the port of what records: keyboards with MIDI, mice, storage. */
const couldBeCarried = ({ bus }: Part): boolean =>
  bus !== undefined && bus.registersAs === 'other' && bus.captures.length === 0 && !bus.plays;

const MOST_CARRIED = 4;

/** What is to stay plugged in beside the sound. */
export function CarriedAlong(props: {
  parts: readonly Part[];
  carried: readonly string[] | undefined;
  change: (carried: readonly string[]) => void;
}) {
  const { parts, carried = [], change } = props;
  const choices = parts.filter(couldBeCarried);
  if (choices.length === 0) return null;
  return (
    <>
      {carried.map((id, index) => (
        <button
          key={`${id} ${index}`}
          type="button"
          className="button"
          onClick={() => change(carried.filter((_, n) => n !== index))}
        >
          {parts.find((part) => part.id === id)?.name ?? id}
          <X size={16} aria-hidden />
          <span className="sr-only">leave out</span>
        </button>
      ))}
      {carried.length < MOST_CARRIED && (
        <select
          className="field max-w-full"
          aria-label="Keep plugged in beside"
          value=""
          onChange={(event) => event.target.value && change([...carried, event.target.value])}
        >
          <option value="">{carried.length > 0 ? 'something more' : 'nothing else plugged in'}</option>
          {choices.map((part) => (
            <option key={part.id} value={part.id}>
              {part.name}
            </option>
          ))}
        </select>
      )}
    </>
  );
}

/** A further recorder that is wanted only where it costs little more. */
export const OnlyUnder = (props: {
  currency: string;
  under: number | undefined;
  set: (under: number | undefined) => void;
}) => (
  <FigureWish
    label="only if for at most"
    unit={`${props.currency} more`}
    value={props.under}
    set={props.set}
  />
);
