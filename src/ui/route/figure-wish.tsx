'use client';
import { useState } from 'react';
import { parseFigure } from '../../core/units/parse';

/** A figure that may be left empty; what cannot be read is said beside it and changes nothing. */
export function FigureWish(props: {
  label: string;
  unit: string;
  value: number | undefined;
  set: (value: number | undefined) => void;
}) {
  const [typed, setTyped] = useState<string>();
  const shown = typed ?? (props.value === undefined ? '' : String(props.value));
  const parsed = shown.trim() ? parseFigure(shown, props.unit === 'm' ? 'm' : '') : undefined;
  const bad = parsed && (!parsed.ok || parsed.value <= 0);
  return (
    <label className="flex flex-wrap items-center gap-2">
      {props.label}
      <input
        className="field w-24 font-mono text-sm"
        inputMode="decimal"
        value={shown}
        aria-invalid={bad === true}
        onChange={(event) => {
          setTyped(event.target.value);
          const next = parseFigure(event.target.value, props.unit === 'm' ? 'm' : '');
          if (!event.target.value.trim()) props.set(undefined);
          else if (next.ok && next.value > 0) props.set(next.value);
        }}
      />
      {props.unit}
      {bad && (
        <span role="alert" className="text-vermilion text-sm">
          {parsed.ok ? 'more than nothing, please' : parsed.says}
        </span>
      )}
    </label>
  );
}
