'use client';
import type { Rig } from '../../core/rig';
import type { LevelWay } from '../../core/search/levels';
import { capital } from '../../core/words';
import { sayShare } from '../../core/words/say-levels';

/** What brings the noise, as bars; the most first. */
export function NoiseBars({ rig, way }: { rig: Rig; way: LevelWay }) {
  return (
    <ul className="mt-1 grid gap-1 text-sm">
      {way.shares.slice(0, 6).map((one) => (
        <li key={`${one.is} ${one.placed}`} className="grid grid-cols-[1fr_auto] gap-x-2">
          <span className="min-w-0">{capital(sayShare(rig, one))}</span>
          <span className="font-mono text-xs">{one.share < 0.01 ? '<1' : Math.round(one.share * 100)} %</span>
          <span aria-hidden className="bg-line col-span-2 h-1.5 rounded">
            <span
              className="bg-brass block h-1.5 rounded"
              style={{ width: `${Math.max(1, one.share * 100)}%` }}
            />
          </span>
        </li>
      ))}
    </ul>
  );
}
