'use client';
import { useId } from 'react';
import type { Figure } from '../../core/parts/model/figures';
import { formatFigure, parseFigure } from '../../core/units';

interface FigureFieldProps {
  readonly figure: Figure;
  /** What was typed; undefined while it stands as it was. */
  readonly typed: string | undefined;
  readonly type: (text: string) => void;
}

/** What is wrong with what was typed for a figure; undefined where it can be read or was not touched. */
export function troubleIn(figure: Figure, typed: string | undefined): string | undefined {
  const parsed = typed === undefined ? undefined : parseFigure(typed, figure.unit);
  return parsed && !parsed.ok ? parsed.says : undefined;
}

/** One figure of a part, in any unit that means the same. */
export function FigureField({ figure, typed, type }: FigureFieldProps) {
  const trouble = troubleIn(figure, typed);
  const id = useId();
  return (
    <div className="grid gap-x-3 sm:grid-cols-[1fr_11rem] sm:items-center">
      <label htmlFor={id}>{figure.name}</label>
      <input
        id={id}
        className="field w-full font-mono text-sm"
        value={typed ?? formatFigure(figure.value, figure.unit)}
        aria-invalid={trouble !== undefined}
        aria-describedby={trouble ? `${id}-trouble` : undefined}
        onChange={(event) => type(event.target.value)}
      />
      {trouble && (
        <p id={`${id}-trouble`} role="alert" className="text-vermilion text-sm sm:col-span-2">
          {trouble}
        </p>
      )}
    </div>
  );
}
