'use client';
import { extent } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import type { Route } from '../../core/search/route';
import { money } from '../shared/money';

const [WIDTH, HEIGHT] = [440, 220];
const [LEFT, RIGHT, TOP, FOOT] = [52, 30, 24, 42];

interface Mark {
  readonly route: Route;
  readonly x: number;
  readonly y: number;
  /** Where its number stands: above the mark, higher where another number is in the way. */
  readonly label: number;
}

/** Marks at their true places; numbers that would lie on one another stand above one another. */
function labelled(marks: readonly Omit<Mark, 'label'>[]): Mark[] {
  const placed: Mark[] = [];
  for (const mark of marks) {
    let label = mark.y - 11;
    const taken = (at: number) =>
      placed.some((other) => Math.abs(other.x - mark.x) < 13 && Math.abs(other.label - at) < 14);
    while (taken(label)) label -= 14;
    placed.push({ ...mark, label });
  }
  return placed;
}

/** Cost against speech over noise, a numbered mark for each way: further left is cheaper, higher is clearer. */
export function TradeChart({ routes, currency }: { routes: readonly Route[]; currency: string }) {
  const [low = 0, high = 0] = extent(routes, (route) => route.overNoise);
  const dearest = Math.max(1, ...routes.map((route) => route.cost));
  const x = scaleLinear([0, dearest], [LEFT + 16, WIDTH - RIGHT]).nice();
  const y = scaleLinear([low - 5, high + 5], [HEIGHT - FOOT, TOP]).nice();
  const placed = labelled(routes.map((route) => ({ route, x: x(route.cost), y: y(route.overNoise) })));
  return (
    <figure className="border-line bg-card mt-4 max-w-xl rounded-xl border p-3">
      <figcaption className="font-semibold">What the money buys</figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="h-auto w-full"
        role="img"
        aria-label={routes
          .map((r) => `way ${r.rank}: ${money(r.cost, currency)}, ${r.overNoise.toFixed(0)} dB`)
          .join('; ')}
      >
        {y.ticks(4).map((tick) => (
          <g key={tick}>
            <line x1={LEFT} x2={WIDTH - RIGHT} y1={y(tick)} y2={y(tick)} stroke="var(--line)" />
            <text x={LEFT - 6} y={y(tick) + 4} textAnchor="end" fontSize={12} fill="var(--ink-soft)">
              {tick} dB
            </text>
          </g>
        ))}
        {x.ticks(5).map((tick) => (
          <text
            key={tick}
            x={x(tick)}
            y={HEIGHT - FOOT + 18}
            textAnchor="middle"
            fontSize={12}
            fill="var(--ink-soft)"
          >
            {money(tick, currency)}
          </text>
        ))}
        <text x={LEFT} y={HEIGHT - 4} fontSize={12} fill="var(--ink-soft)">
          to the right: dearer · higher: clearer of the noise
        </text>
        {placed.map((mark) => (
          <g key={mark.route.rank}>
            <circle cx={mark.x} cy={mark.y} r={6} fill="var(--sea)" stroke="var(--card)" strokeWidth={2} />
            <text
              x={mark.x}
              y={mark.label}
              textAnchor="middle"
              fontSize={13}
              fontWeight={700}
              fill="var(--ink)"
            >
              {mark.route.rank}
            </text>
          </g>
        ))}
      </svg>
    </figure>
  );
}
