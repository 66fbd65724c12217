'use client';
import { useRef, useState } from 'react';
import type { Step } from '../../core/engine/levels';
import type { LevelKnob } from '../../core/search/levels';
import { formatDb } from '../../core/units';
import { decibelsFor, placeOf } from './level-scale';

interface LevelBarProps {
  readonly step: Step;
  /** The knob that moves it; absent where there is none. */
  readonly knob?: LevelKnob;
  readonly name: string;
  readonly turn: (value: number) => void;
  readonly keep: (value: number) => void;
}

const snapped = ({ least, most, step }: LevelKnob, value: number): number =>
  Math.min(most, Math.max(least, least + Math.round((value - least) / step) * step));

const KEYS: Readonly<Record<string, (knob: LevelKnob) => number>> = {
  ArrowRight: ({ stands, step }) => stands + step,
  ArrowUp: ({ stands, step }) => stands + step,
  ArrowLeft: ({ stands, step }) => stands - step,
  ArrowDown: ({ stands, step }) => stands - step,
  PageUp: ({ stands, step }) => stands + 6 * step,
  PageDown: ({ stands, step }) => stands - 6 * step,
  Home: ({ least }) => least,
  End: ({ most }) => most,
};

/** Speech from RMS to its peaks. Dragged, or with the arrow keys, it turns its knob. */
export function LevelBar({ step, knob, name, turn, keep }: LevelBarProps) {
  const began = useRef<{ x: number; width: number; stands: number }>(undefined);
  const [dragged, setDragged] = useState<number>();
  if (!Number.isFinite(step.peak)) return null;
  const [from, to] = [placeOf(step.level), placeOf(step.peak)];
  const over = step.clipLevel !== null && step.peak > step.clipLevel;
  const look = `absolute top-1/2 h-5 min-w-1.5 -translate-y-1/2 rounded ${over ? 'bg-vermilion' : 'bg-sea'}`;
  const style = { left: `${from}%`, width: `${Math.max(0.5, to - from)}%` };
  if (!knob) return <span aria-hidden className={look} style={style} />;
  const move = (event: React.PointerEvent): number | undefined => {
    const at = began.current;
    return at && snapped(knob, at.stands + decibelsFor((event.clientX - at.x) / at.width));
  };
  return (
    <span
      role="slider"
      tabIndex={0}
      aria-label={name}
      aria-valuemin={knob.least}
      aria-valuemax={knob.most}
      aria-valuenow={dragged ?? knob.stands}
      aria-valuetext={`${formatDb(dragged ?? knob.stands)}; peaks ${formatDb(step.peak, 'dBV')}`}
      className={`${look} cursor-ew-resize touch-none ring-offset-2 before:absolute before:-inset-x-4 before:-inset-y-3 before:content-['']`}
      style={style}
      onKeyDown={(event) => {
        const next = KEYS[event.key]?.(knob);
        if (next === undefined) return;
        event.preventDefault();
        keep(snapped(knob, next));
      }}
      onPointerDown={(event) => {
        const { width } = event.currentTarget.parentElement?.getBoundingClientRect() ?? { width: 1 };
        began.current = { x: event.clientX, width, stands: knob.stands };
        event.currentTarget.setPointerCapture(event.pointerId);
      }}
      onPointerMove={(event) => {
        const next = move(event);
        if (next === undefined || next === dragged) return;
        setDragged(next);
        turn(next);
      }}
      onPointerUp={(event) => {
        const next = move(event);
        const at = began.current;
        began.current = undefined;
        setDragged(undefined);
        // Against where it was taken up: the rig shown has followed the hand by now, the kept one has not.
        if (next !== undefined && next !== at?.stands) keep(next);
      }}
      onPointerCancel={() => {
        if (began.current) turn(began.current.stands);
        began.current = undefined;
        setDragged(undefined);
      }}
    />
  );
}
