'use client';
import { Suspense, lazy, type ComponentType } from 'react';

/**
 * A component that is fetched when first shown. It waits behind a boundary of its own: without one the whole page
 * would wait with it, hidden, and what was just being mounted would begin anew. `Waiting` keeps its place meanwhile, so
 * that nothing below it moves when it comes.
 */
export function lazily<P extends object>(
  load: () => Promise<ComponentType<P>>,
  Waiting?: ComponentType<P>,
): ComponentType<P> {
  const Fetched = lazy(async () => ({ default: await load() }));
  return function Lazily(props: P) {
    return (
      <Suspense fallback={Waiting ? <Waiting {...props} /> : null}>
        <Fetched {...props} />
      </Suspense>
    );
  };
}
