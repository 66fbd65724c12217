'use client';
import { scaleLinear, scaleLog } from 'd3-scale';
import type { AppBand } from '../../core/apps';
import type { ChainResponse } from '../../core/engine/levels';

const [WIDTH, HEIGHT, LEFT, BOTTOM] = [320, 130, 30, 18];
const [TOP_DB, LOW_DB] = [6, -24];
const x = scaleLog([20, 20_000], [LEFT, WIDTH - 6]);
const y = scaleLinear([TOP_DB, LOW_DB], [4, HEIGHT - BOTTOM]).clamp(true);

const sayHertz = (hertz: number): string =>
  hertz >= 1000 ? `${Number((hertz / 1000).toFixed(1))} kHz` : `${Math.round(hertz)} Hz`;

/** "−3 dB at 80 Hz and 12 kHz", by the circuit. */
export function sayBand({ from, to }: ChainResponse): string {
  if (from === null && to === null) return 'Even from 20 Hz to 20 kHz: nowhere 3 dB down.';
  const low = from === null ? 'under 20 Hz' : sayHertz(from);
  const high = to === null ? 'over 20 kHz' : sayHertz(to);
  return `3 dB down at ${low} and ${high}.`;
}

/** The gain of the whole chain over frequency, against 1 kHz. */
export function ResponseChart({ response, band }: { response: ChainResponse; band?: AppBand | undefined }) {
  const path = response.points
    .map(({ hertz, decibels }, index) => {
      const level = Number.isFinite(decibels) ? decibels : LOW_DB;
      return `${index === 0 ? 'M' : 'L'}${x(hertz).toFixed(1)},${y(level).toFixed(1)}`;
    })
    .join('');
  return (
    <figure className="mt-1">
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" role="img" aria-label={sayBand(response)}>
        {band && (
          <rect
            x={x(band.from)}
            y={4}
            width={x(band.to) - x(band.from)}
            height={HEIGHT - BOTTOM - 4}
            fill="var(--sea)"
            opacity={0.12}
          />
        )}
        {[0, -6, -12, -18, -24].map((level) => (
          <g key={level}>
            <line x1={LEFT} x2={WIDTH - 6} y1={y(level)} y2={y(level)} stroke="var(--line)" />
            <text x={LEFT - 4} y={y(level) + 3} textAnchor="end" fontSize={9} fill="var(--ink-soft)">
              {level < 0 ? `−${-level}` : level}
            </text>
          </g>
        ))}
        {[20, 100, 1000, 10_000].map((hertz) => (
          <g key={hertz}>
            <line x1={x(hertz)} x2={x(hertz)} y1={4} y2={HEIGHT - BOTTOM} stroke="var(--line)" />
            <text
              x={x(hertz)}
              y={HEIGHT - 5}
              textAnchor={hertz === 20 ? 'start' : 'middle'}
              fontSize={9}
              fill="var(--ink-soft)"
            >
              {sayHertz(hertz)}
            </text>
          </g>
        ))}
        <line x1={LEFT} x2={WIDTH - 6} y1={y(-3)} y2={y(-3)} stroke="var(--brass)" strokeDasharray="4 3" />
        {[response.from, response.to].map((edge) =>
          edge === null ? null : (
            <circle
              key={edge}
              cx={x(edge)}
              cy={y(-3)}
              r={3.5}
              fill="var(--card)"
              stroke="var(--brass)"
              strokeWidth={2}
            />
          ),
        )}
        <path d={path} fill="none" stroke="var(--sea)" strokeWidth={2} />
      </svg>
      <figcaption className="text-soft text-sm">
        {sayBand(response)}
        {band && ` Shaded: what the app lets through, ${band.says}.`}
      </figcaption>
    </figure>
  );
}
