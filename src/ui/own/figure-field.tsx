'use client';
import { useId } from 'react';
import type { Figure } from '../../core/parts/model/figures';
import { formatFigure, parseFigure } from '../../core/units';
import { FigureRow } from '../shared/figure-row';

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
    <FigureRow
      id={id}
      name={figure.name}
      text={typed ?? formatFigure(figure.value, figure.unit)}
      trouble={trouble}
      type={type}
    />
  );
}
