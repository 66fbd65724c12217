'use client';
import { scaleLinear, scaleLog } from 'd3-scale';
import type { Measures } from '../../core/signal/measure';

const [WIDTH, HEIGHT, LEFT, BOTTOM] = [320, 130, 32, 18];

interface AxisProps {
  readonly at: readonly number[];
  readonly y: (value: number) => number;
}

/** Levels across a chart, with their figures at its left. */
export function LevelLines({ at, y }: AxisProps) {
  return at.map((level) => (
    <g key={level}>
      <line x1={LEFT} x2={WIDTH - 6} y1={y(level)} y2={y(level)} stroke="var(--line)" />
      <text x={LEFT - 4} y={y(level) + 3} textAnchor="end" fontSize={9} fill="var(--ink-soft)">
        {level < 0 ? `−${-level}` : level}
      </text>
    </g>
  ));
}

const pathOf = (points: readonly (readonly [number, number])[]): string =>
  points.map(([px, py], i) => `${i === 0 ? 'M' : 'L'}${px.toFixed(1)},${py.toFixed(1)}`).join('');

/** How the other take is drawn: thinner, dotted, in another colour. */
const BESIDE = { stroke: 'var(--plum)', strokeWidth: 1.2, strokeDasharray: '1 2' } as const;

/** A take, and another drawn beside it. */
interface ChartProps {
  readonly measures: Measures;
  readonly beside?: Measures | undefined;
}

/** So many points a curve. */
const POINTS = 600;

/** Short-term loudness over the take; of two takes each from its own beginning. */
export function LoudnessChart({ measures, beside }: ChartProps) {
  const { shortTerm, shortTermMaxLufs, integratedLufs } = measures.loudness;
  if (shortTerm.length < 2)
    return <p className="text-soft text-sm">Too short: short-term loudness takes three seconds.</p>;
  const other = beside?.loudness.shortTerm ?? new Float32Array();
  const longest = Math.max(shortTerm.length, other.length);
  const x = scaleLinear([0, longest - 1], [LEFT, WIDTH - 6]);
  const y = scaleLinear([0, -60], [4, HEIGHT - BOTTOM]).clamp(true);
  const every = Math.max(1, Math.floor(longest / POINTS));
  const curve = (values: Float32Array) =>
    pathOf(
      [...values.keys()]
        .filter((i) => i % every === 0)
        .map((i) => [x(i), y(Math.max(-60, values[i] ?? -60))] as const),
    );
  const says = `Short-term loudness, at most ${shortTermMaxLufs.toFixed(1)} LUFS`;
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" role="img" aria-label={says}>
      <LevelLines at={[0, -20, -40, -60]} y={y} />
      {Number.isFinite(integratedLufs) && (
        <line
          x1={LEFT}
          x2={WIDTH - 6}
          y1={y(integratedLufs)}
          y2={y(integratedLufs)}
          stroke="var(--brass)"
          strokeDasharray="4 3"
        />
      )}
      {other.length > 1 && <path d={curve(other)} fill="none" {...BESIDE} />}
      <path d={curve(shortTerm)} fill="none" stroke="var(--sea)" strokeWidth={1.5} />
      {[0, 1].map((end) => (
        <text
          key={end}
          x={end === 0 ? LEFT : WIDTH - 6}
          y={HEIGHT - 5}
          textAnchor={end === 0 ? 'start' : 'end'}
          fontSize={9}
          fill="var(--ink-soft)"
        >
          {end === 0
            ? '0 s'
            : `${Math.max(measures.durationSeconds, beside?.durationSeconds ?? 0).toFixed(0)} s`}
        </text>
      ))}
    </svg>
  );
}

const LEVELS = [-20, -60, -100, -140];

/** What sounds, and what is left in the pauses, over frequency; the mains’ lines marked. */
export function SpectrumChart({ measures, beside }: ChartProps) {
  const { spectrum, hum, whine } = measures;
  const top = spectrum.stepHz * (spectrum.active.length - 1);
  const x = scaleLog([40, Math.max(1000, top)], [LEFT, WIDTH - 6]).clamp(true);
  const y = scaleLinear([0, -140], [4, HEIGHT - BOTTOM]).clamp(true);
  const line = (powers: Float32Array, stepHz = spectrum.stepHz): string => {
    const most = new Map<number, number>();
    powers.forEach((p, k) => {
      const px = Math.round(x(Math.max(40, k * stepHz)));
      if (k > 0) most.set(px, Math.max(most.get(px) ?? 0, p));
    });
    return pathOf([...most].sort(([a], [b]) => a - b).map(([px, p]) => [px, y(10 * Math.log10(p + 1e-20))]));
  };
  return (
    <figure>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="w-full"
        role="img"
        aria-label="Spectrum: while it sounds, and in the pauses"
      >
        <LevelLines at={LEVELS} y={y} />
        {[100, 1000, 10_000].map((hertz) => (
          <text
            key={hertz}
            x={x(hertz)}
            y={HEIGHT - 5}
            textAnchor="middle"
            fontSize={9}
            fill="var(--ink-soft)"
          >
            {hertz >= 1000 ? `${hertz / 1000} kHz` : `${hertz} Hz`}
          </text>
        ))}
        {[...(hum?.lines ?? []), ...(whine ? [whine] : [])].map(({ hertz, levelDbfs }) => (
          <g key={hertz}>
            <line
              x1={x(hertz)}
              x2={x(hertz)}
              y1={y(levelDbfs)}
              y2={HEIGHT - BOTTOM}
              stroke="var(--vermilion)"
              strokeDasharray="2 2"
            />
            <circle cx={x(hertz)} cy={y(levelDbfs)} r={2.5} fill="var(--vermilion)" />
          </g>
        ))}
        {spectrum.quiet && (
          <path
            d={line(spectrum.quiet)}
            fill="none"
            stroke="var(--brass)"
            strokeWidth={1}
            strokeDasharray="3 1"
          />
        )}
        {beside && <path d={line(beside.spectrum.active, beside.spectrum.stepHz)} fill="none" {...BESIDE} />}
        <path d={line(spectrum.active)} fill="none" stroke="var(--sea)" strokeWidth={1.5} />
      </svg>
      <figcaption className="text-soft text-sm">
        Drawn through: while it sounds. Dashed: in the pauses. {beside && 'Dotted: the other take. '}
        {hum && `Dots: ${hum.fundamentalHz} Hz and its harmonics.`}
      </figcaption>
    </figure>
  );
}

/** How often each level is there, tenths of a second. */
export function LevelHistogram({ measures }: { measures: Measures }) {
  const counts = new Array<number>(24).fill(0);
  for (const powers of measures.windows.slice(0, 1)) {
    for (const p of powers) {
      const db = p > 0 ? 10 * Math.log10(p) : -96;
      const bin = Math.max(0, Math.min(23, Math.floor((db + 96) / 4)));
      counts[bin] = (counts[bin] ?? 0) + 1;
    }
  }
  const most = Math.max(1, ...counts);
  const x = scaleLinear([0, 24], [LEFT, WIDTH - 6]);
  return (
    <svg viewBox={`0 0 ${WIDTH} 80`} className="w-full" role="img" aria-label="How often each level is there">
      {counts.map((count, bin) => (
        <rect
          key={bin}
          x={x(bin)}
          width={x(1) - x(0) - 1}
          y={62 - (58 * count) / most}
          height={(58 * count) / most}
          fill="var(--sea)"
        />
      ))}
      {[-96, -72, -48, -24, 0].map((db) => (
        <text
          key={db}
          x={x((db + 96) / 4)}
          y={76}
          textAnchor={db === 0 ? 'end' : db === -96 ? 'start' : 'middle'}
          fontSize={9}
          fill="var(--ink-soft)"
        >
          {db < 0 ? `−${-db}` : db}
        </text>
      ))}
    </svg>
  );
}
