'use client';
import { Repeat, Scissors } from 'lucide-react';
import { Slider } from 'radix-ui';

/** From and to, seconds. */
export type Range = readonly [from: number, to: number];

const STEP = 0.1;
const say = (seconds: number): string => `${seconds.toFixed(1)} s`;

interface ListenRangeProps {
  readonly seconds: number;
  readonly range: Range;
  readonly setRange: (range: Range) => void;
  readonly looping: boolean;
  readonly setLooping: (looping: boolean) => void;
  readonly trim: () => void;
}

/** A stretch of the take: heard round and round, or kept alone as a new take. */
export function ListenRange({ seconds, range, setRange, looping, setLooping, trim }: ListenRangeProps) {
  const [from, to] = range;
  const whole = from <= 0 && to >= seconds;
  return (
    <div
      className="mt-2 flex flex-wrap items-center gap-x-3 gap-y-1"
      role="group"
      aria-label="A stretch of it"
    >
      <Slider.Root
        className="relative flex h-11 w-full min-w-40 flex-1 touch-none items-center select-none"
        min={0}
        max={seconds}
        step={STEP}
        minStepsBetweenThumbs={1}
        value={[from, to]}
        onValueChange={([a = 0, b = seconds]) => setRange([a, b])}
      >
        <Slider.Track className="bg-line h-1.5 w-full rounded-full">
          <Slider.Range className="bg-sea absolute h-1.5 rounded-full" />
        </Slider.Track>
        {(['From', 'To'] as const).map((name, i) => (
          <Slider.Thumb
            key={name}
            aria-label={name}
            aria-valuetext={say(range[i] ?? 0)}
            className="border-sea bg-card block size-6 rounded-full border-2"
          />
        ))}
      </Slider.Root>
      <span className="text-soft text-sm whitespace-nowrap">
        {whole ? 'all of it' : `${say(from)} to ${say(to)}`}
      </span>
      <button
        type="button"
        className="button aria-pressed:bg-ink aria-pressed:text-paper"
        aria-pressed={looping}
        onClick={() => setLooping(!looping)}
      >
        <Repeat size={16} aria-hidden /> Round and round
      </button>
      <button type="button" className="button" disabled={whole} onClick={trim}>
        <Scissors size={16} aria-hidden /> Keep this alone
      </button>
    </div>
  );
}
