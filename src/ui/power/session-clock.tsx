'use client';
import { scaleLinear } from 'd3-scale';
import type { Rig } from '../../core/rig';
import { nameOf, sayMinutes } from '../../core/words';
import type { PowerView } from '../../core/views';

const [WIDTH, HEIGHT, LEFT, BOTTOM, TOP] = [320, 150, 34, 20, 8];
/** Lines are told apart by their dashes as well as by their names. */
const DASHES = ['', '6 3', '2 3', '9 3 2 3', '1 4'];

const ticksOf = (minutes: number): number[] => {
  const step = [15, 30, 60, 120, 240, 480, 960].find((each) => minutes / each <= 6) ?? 960;
  return Array.from({ length: Math.floor((minutes * 0.95) / step) + 1 }, (_, i) => i * step);
};

/** Share of a battery at a minute, along its line. */
function shareAt(points: readonly (readonly [number, number])[], minute: number): number {
  const after = points.findIndex(([at]) => at >= minute);
  const [to, from] = [points[after] ?? points.at(-1), points[Math.max(0, after - 1)]];
  if (!to || !from || to[0] === from[0]) return to?.[1] ?? 0;
  return from[1] + ((to[1] - from[1]) * (minute - from[0])) / (to[0] - from[0]);
}

/** How full every battery is along the session, and a little beyond. */
export function SessionClock({ rig, view }: { rig: Rig; view: PowerView }) {
  const { minutes } = view.session;
  const end = minutes * 1.25;
  const x = scaleLinear([0, end], [LEFT, WIDTH - 6]);
  const y = scaleLinear([1, 0], [TOP, HEIGHT - BOTTOM]);
  const path = (points: readonly (readonly [number, number])[]) =>
    points
      .map(([at, share], i) => `${i === 0 ? 'M' : 'L'}${x(at).toFixed(1)},${y(share).toFixed(1)}`)
      .join('');
  const says = view.discharge.map(({ placed, line: points }) => ({
    placed,
    points: [...points.filter(([at]) => at < end), [end, shareAt(points, end)] as const],
    left: Math.round(shareAt(points, minutes) * 100),
  }));
  const label = says.map(({ placed, left }) => `${nameOf(rig, placed)} ${left} % at the end`).join('; ');
  if (says.length === 0) return <p className="text-soft text-sm">Nothing here runs on a battery.</p>;
  return (
    <figure className="mt-1">
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" role="img" aria-label={label}>
        {[0, 0.5, 1].map((share) => (
          <g key={share}>
            <line x1={LEFT} x2={WIDTH - 6} y1={y(share)} y2={y(share)} stroke="var(--line)" />
            <text x={LEFT - 4} y={y(share) + 3} textAnchor="end" fontSize={9} fill="var(--ink-soft)">
              {share * 100} %
            </text>
          </g>
        ))}
        {ticksOf(end).map((at) => (
          <text key={at} x={x(at)} y={HEIGHT - 6} textAnchor="middle" fontSize={9} fill="var(--ink-soft)">
            {at === 0 ? '0' : sayMinutes(at)}
          </text>
        ))}
        <line
          x1={x(minutes)}
          x2={x(minutes)}
          y1={TOP}
          y2={HEIGHT - BOTTOM}
          stroke="var(--ink-soft)"
          strokeDasharray="3 3"
        />
        {says.map(({ placed, points }, index) => (
          <path
            key={placed}
            d={path(points)}
            fill="none"
            stroke={
              points.some(([at, share]) => share <= 0 && at < minutes) ? 'var(--vermilion)' : 'var(--sea)'
            }
            strokeWidth={2}
            strokeDasharray={DASHES[index % DASHES.length]}
          />
        ))}
      </svg>
      <ul className="text-sm">
        {says.map(({ placed, left }, index) => (
          <li key={placed} className="flex items-center gap-2">
            <svg aria-hidden width={28} height={6} className="flex-none">
              <line
                x1={0}
                x2={28}
                y1={3}
                y2={3}
                stroke="var(--sea)"
                strokeWidth={2}
                strokeDasharray={DASHES[index % DASHES.length]}
              />
            </svg>
            <span className="min-w-0 flex-1">{nameOf(rig, placed)}</span>
            <span className="figure">{left} % left</span>
          </li>
        ))}
      </ul>
    </figure>
  );
}
