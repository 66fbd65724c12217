'use client';
import { useEffect, useRef } from 'react';
import { scaleLinear } from 'd3-scale';
import type { Measures } from '../../core/signal/measure';
import type { Stretch } from '../../store/records';

/** Where in the take something is, with its kind in a word. */
export interface Mark {
  readonly at: number;
  readonly says: string;
}

const CHANNEL_HEIGHT = 72;

interface WaveformProps {
  readonly measures: Measures;
  readonly marks: readonly Mark[];
  readonly stretches: readonly Stretch[];
  /** The stretch that is chosen to be heard or kept. */
  readonly range: readonly [from: number, to: number];
  /** Seconds that are being listened to. */
  readonly now: number;
  readonly seek: (seconds: number) => void;
}

function colours(element: Element) {
  const style = getComputedStyle(element);
  const of = (name: string) => style.getPropertyValue(name).trim();
  return {
    wave: of('--sea'),
    line: of('--line'),
    mark: of('--vermilion'),
    head: of('--ink'),
    band: of('--brass'),
  };
}

function draw(canvas: HTMLCanvasElement, { measures, marks, stretches, range, now }: WaveformProps): void {
  const { outline, durationSeconds, sampleRate, clipping, image } = measures;
  const [width, height] = [canvas.clientWidth, CHANNEL_HEIGHT * outline.channels.length];
  const ratio = window.devicePixelRatio;
  canvas.width = width * ratio;
  canvas.height = height * ratio;
  const pen = canvas.getContext('2d');
  if (!pen) return;
  pen.scale(ratio, ratio);
  const colour = colours(canvas);
  const x = scaleLinear([0, durationSeconds], [0, width]);
  stretches.forEach(({ from, to }, i) => {
    pen.fillStyle = colour.line;
    pen.globalAlpha = i % 2 === 0 ? 0.35 : 0.12;
    pen.fillRect(x(from), 0, x(to) - x(from), height);
  });
  pen.globalAlpha = 1;
  outline.channels.forEach((pairs, channel) => {
    const middle = CHANNEL_HEIGHT * (channel + 0.5);
    const size = (CHANNEL_HEIGHT / 2 - 3) * magnified(measures);
    pen.fillStyle = colour.line;
    pen.fillRect(0, middle, width, 1);
    pen.fillStyle = colour.wave;
    const count = pairs.length / 2;
    for (let px = 0; px < width; px += 1) {
      const seconds = x.invert(px);
      const from = Math.floor((seconds * sampleRate) / outline.hop);
      const to = Math.max(from + 1, Math.floor((x.invert(px + 1) * sampleRate) / outline.hop));
      let [low, high] = [0, 0];
      for (let i = from; i < Math.min(to, count); i += 1) {
        low = Math.min(low, pairs[2 * i] ?? 0);
        high = Math.max(high, pairs[2 * i + 1] ?? 0);
      }
      pen.fillRect(px, middle - high * size, 1, Math.max(1, (high - low) * size));
    }
    if (clipping && (clipping.channel === channel || image.kind === 'dual-mono')) {
      const top = 10 ** (clipping.ceilingDbfs / 20) * size;
      pen.fillStyle = colour.band;
      pen.fillRect(0, middle - top, width, 1);
      pen.fillRect(0, middle + top, width, 1);
    }
  });
  shade(
    pen,
    colour.head,
    [
      [0, x(range[0])],
      [x(range[1]), width],
    ],
    height,
  );
  drawMarks(
    pen,
    colour.mark,
    marks.map(({ at }) => x(at)),
    height,
  );
  pen.fillStyle = colour.head;
  pen.fillRect(x(now), 0, 2, height);
}

/** Marks nearer to the one before than this, px, are drawn with it: the sound is to be seen between them. */
const MARKS_APART = 9;

function drawMarks(
  pen: CanvasRenderingContext2D,
  colour: string,
  places: readonly number[],
  height: number,
): void {
  pen.fillStyle = colour;
  let last = -Infinity;
  for (const at of [...places].sort((a, b) => a - b)) {
    if (at - last < MARKS_APART) continue;
    last = at;
    pen.fillRect(at, 0, 1, height);
    pen.beginPath();
    pen.moveTo(at - 4, 0);
    pen.lineTo(at + 5, 0);
    pen.lineTo(at + 0.5, 7);
    pen.fill();
  }
}

/** What is not chosen lies in the shade. */
function shade(
  pen: CanvasRenderingContext2D,
  colour: string,
  spans: readonly (readonly [number, number])[],
  height: number,
): void {
  pen.fillStyle = colour;
  pen.globalAlpha = 0.18;
  for (const [from, to] of spans) pen.fillRect(from, 0, to - from, height);
  pen.globalAlpha = 1;
}

/** A quiet take is drawn larger, by doublings, so that its shape is seen. */
export function magnified({ levels }: Measures): number {
  const peak = Math.max(...levels.map((l) => l.samplePeakDbfs));
  return 2 ** Math.max(0, Math.min(5, Math.floor(-peak / 6.02)));
}

/** The take over time, with marks; pressed, it is heard from there. */
export function Waveform(props: WaveformProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { measures, marks, seek } = props;
  useEffect(() => {
    const element = canvas.current;
    if (!element) return undefined;
    const paint = () => draw(element, props);
    paint();
    const observer = new ResizeObserver(paint);
    observer.observe(element);
    return () => observer.disconnect();
  });
  const sides = measures.outline.channels.length;
  return (
    <figure className="mt-2">
      <canvas
        ref={canvas}
        role="img"
        aria-label={`The sound over ${measures.durationSeconds.toFixed(1)} s, ${sides} ${sides === 1 ? 'channel' : 'channels'}, ${marks.length} marks`}
        className="border-line bg-card block w-full cursor-pointer rounded-lg border"
        style={{ height: CHANNEL_HEIGHT * sides }}
        onClick={(event) => {
          const box = event.currentTarget.getBoundingClientRect();
          seek(((event.clientX - box.left) / box.width) * measures.durationSeconds);
        }}
      />
      <figcaption className="text-soft text-sm">
        {magnified(measures) > 1 && `Drawn ${magnified(measures)} times as large as it is. `}
        {sides > 1 ? 'Left above, right below. ' : ''}
        {marks.length > 0 && `${marks.length} marks. `}
        Press to listen from there.
      </figcaption>
    </figure>
  );
}
