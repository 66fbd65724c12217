'use client';
import { scaleLinear } from 'd3-scale';
import type { Measures } from '../../core/signal/measure';
import { LevelLines } from './charts';

const [WIDTH, HEIGHT, LEFT, BOTTOM] = [320, 130, 32, 18];
/** Beyond this a side counts as empty; quieter than that is not drawn; so many dots at the most. */
const [WIDEST, LEAST, MOST_DOTS] = [24, -72, 1200];

/** Where each tenth of a second lies between the sides, and how loud: the stereo image. */
export function BalanceChart({ measures }: { measures: Measures }) {
  const [left, right] = measures.windows;
  if (!left || !right) return <p className="text-soft text-sm">One channel: there is no image.</p>;
  const x = scaleLinear([WIDEST, -WIDEST], [LEFT + 6, WIDTH - 12]).clamp(true);
  const y = scaleLinear([0, LEAST], [4, HEIGHT - BOTTOM]).clamp(true);
  const every = Math.max(1, Math.ceil(left.length / MOST_DOTS));
  const dots = [...left.keys()]
    .filter((i) => i % every === 0)
    .flatMap((i) => {
      const [l, r] = [left[i] ?? 0, right[i] ?? 0];
      const level = 10 * Math.log10(Math.max(l, r, 1e-20));
      return level < LEAST ? [] : [{ at: 10 * Math.log10((l + 1e-12) / (r + 1e-12)), level }];
    });
  const { correlation } = measures.image;
  const says =
    correlation === null
      ? 'Sides of every tenth of a second'
      : `Sides of every tenth of a second; correlation ${correlation.toFixed(2).replace('-', '−')}`;
  return (
    <figure>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" role="img" aria-label={says}>
        <LevelLines at={[0, -20, -40, -60]} y={y} />
        <line
          x1={x(0)}
          x2={x(0)}
          y1={4}
          y2={HEIGHT - BOTTOM}
          stroke="var(--ink-soft)"
          strokeDasharray="2 3"
        />
        {dots.map(({ at, level }, i) => (
          <circle key={i} cx={x(at)} cy={y(level)} r={1.6} fill="var(--sea)" fillOpacity={0.55} />
        ))}
        {(
          [
            ['left only', WIDEST, 'start'],
            ['middle', 0, 'middle'],
            ['right only', -WIDEST, 'end'],
          ] as const
        ).map(([name, at, anchor]) => (
          <text key={name} x={x(at)} y={HEIGHT - 5} textAnchor={anchor} fontSize={9} fill="var(--ink-soft)">
            {name}
          </text>
        ))}
      </svg>
      <figcaption className="text-soft text-sm">
        A dot is a tenth of a second.{' '}
        {correlation !== null &&
          `Correlation ${correlation.toFixed(2).replace('-', '−')}: 1 both alike, 0 two sounds, −1 one turned over.`}
      </figcaption>
    </figure>
  );
}
