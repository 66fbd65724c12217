'use client';
import { Slider } from 'radix-ui';
import { useState } from 'react';
import type { KnobSetting } from '../../core/parts';
import { formatDb } from '../../core/units';
import type { FieldProps } from './field-props';

/** While it is dragged the verdict follows; the rig keeps where it is let go. */
export function KnobField({
  setting,
  name,
  value,
  change,
  turn,
  says,
}: FieldProps<KnobSetting> & {
  readonly turn: (value: number) => void;
  /** How it is read on a knob without figures. */
  readonly says?: (value: number) => string;
}) {
  const stands = typeof value === 'number' ? value : setting.initial;
  const [dragged, setDragged] = useState<number>();
  const shown = dragged ?? stands;
  const read = says?.(shown) ?? '';
  return (
    <div className="flex min-h-11 flex-wrap items-center gap-x-2 lg:min-h-9">
      <span aria-hidden>{name}</span>
      <div className="flex items-center gap-2">
        <Slider.Root
          className="relative flex h-8 w-32 touch-none items-center"
          min={setting.from}
          max={setting.to}
          step={setting.step}
          value={[shown]}
          onValueChange={([next]) => {
            setDragged(next);
            if (next !== undefined) turn(next);
          }}
          onValueCommit={([next]) => {
            setDragged(undefined);
            if (next !== undefined) change(next);
          }}
        >
          <Slider.Track className="bg-line h-1.5 w-full rounded-full">
            <Slider.Range className="bg-sea absolute h-1.5 rounded-full" />
          </Slider.Track>
          <Slider.Thumb
            aria-label={setting.name}
            aria-valuetext={[formatDb(shown), read].filter(Boolean).join(', ')}
            className="border-sea bg-card block size-6 rounded-full border-[3px]"
          />
        </Slider.Root>
        <span className="w-28 text-xs leading-tight">
          <span className="font-mono">{formatDb(shown)}</span>
          <span className="text-soft block">{read}</span>
        </span>
      </div>
    </div>
  );
}
