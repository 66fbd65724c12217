'use client';
import { cautionsFor, pluggingSteps } from '../../core/words/plugging';
import type { Rig } from '../../core/rig';

/** What to plug and set, in order, what one should see then, and what to beware of. */
export function PluggingList({ rig }: { rig: Rig }) {
  const cautions = cautionsFor(rig);
  return (
    <div className="text-[0.9375rem]">
      <ol className="list-decimal space-y-0.5 pl-6">
        {pluggingSteps(rig).map(({ is, says }) => (
          <li key={says} className={is === 'see' ? 'text-soft' : ''}>
            {is === 'see' && <span className="font-semibold">Then: </span>}
            {says}.
          </li>
        ))}
      </ol>
      {cautions.length > 0 && (
        <ul aria-label="Cautions" className="mt-2 space-y-0.5">
          {cautions.map((says) => (
            <li key={says}>
              <span className="text-vermilion font-semibold">Caution:</span> {says}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
