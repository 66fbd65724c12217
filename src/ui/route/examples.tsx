'use client';
import { DEMO_REQUESTS } from '../../store/demo-requests';
import type { Question } from './use-request';

/** Questions to begin from, while nothing is asked yet. */
export function Examples({ ask }: { ask: (question: Question) => void }) {
  return (
    <section aria-label="Questions of the yard" className="mt-4">
      <h2 className="text-soft text-sm font-semibold">Or begin from a question of the yard</h2>
      <ul className="mt-1 flex flex-wrap gap-2">
        {DEMO_REQUESTS.map(
          ({ name, sources, through, throughPlace, destinations, distances, wishes, prefer }) => (
            <li key={name}>
              <button
                type="button"
                className="button"
                onClick={() =>
                  ask({
                    sources,
                    destinations,
                    ...(through !== undefined && { through }),
                    ...(throughPlace !== undefined && { throughPlace }),
                    ...(distances && { distances }),
                    ...(wishes && { wishes }),
                    ...(prefer && { prefer }),
                  })
                }
              >
                {name}
              </button>
            </li>
          ),
        )}
      </ul>
    </section>
  );
}
