'use client';
import { extent, scaleLinear } from 'd3';
import type { Route } from '../../core/route';
import { money } from '../shared/money';

const [WIDTH, HEIGHT] = [440, 220];
const [LEFT, RIGHT, TOP, FOOT] = [52, 18, 16, 42];

/** Cost against speech over noise, a numbered mark for each way: further left is cheaper, higher is clearer. */
export function TradeChart({ routes, currency }: { routes: readonly Route[]; currency: string }) {
  const [low = 0, high = 0] = extent(routes, (route) => route.overNoise);
  const dearest = Math.max(1, ...routes.map((route) => route.cost));
  const x = scaleLinear([0, dearest], [LEFT, WIDTH - RIGHT]).nice();
  const y = scaleLinear([Math.min(low, 20), Math.max(high, low + 5)], [HEIGHT - FOOT, TOP]).nice();
  return (
    <figure className="border-line bg-card rounded-xl border p-3">
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
          cost → · speech over noise ↑
        </text>
        {routes.map((route) => (
          <g key={route.rank} transform={`translate(${x(route.cost)} ${y(route.overNoise)})`}>
            <circle r={12} fill="var(--sea)" stroke="var(--card)" strokeWidth={2} />
            <text textAnchor="middle" y={4.5} fontSize={13} fontWeight={700} fill="var(--on-sea)">
              {route.rank}
            </text>
          </g>
        ))}
      </svg>
    </figure>
  );
}
