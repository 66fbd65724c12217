import type { Joint, PortRef } from './types.generated';

/** A part on a way, with the ports by which it is entered and left. */
export interface WayStop {
  readonly id: string;
  readonly into?: string;
  readonly out?: string;
}

/** The parts on the shortest way over joints from one to another; undefined where none leads there. */
export function wayOver(joints: readonly Joint[], from: string, to: string): WayStop[] | undefined {
  const came = new Map<string, { readonly by: PortRef; readonly here: PortRef } | undefined>([
    [from, undefined],
  ]);
  for (const id of came.keys()) {
    if (id === to) break;
    for (const { plug, jack } of joints) {
      for (const [near, far] of [
        [plug, jack],
        [jack, plug],
      ] as const) {
        if (near.part === id && !came.has(far.part)) came.set(far.part, { by: near, here: far });
      }
    }
  }
  if (!came.has(to)) return undefined;
  const way: WayStop[] = [];
  let out: string | undefined;
  for (let id: string | undefined = to; id !== undefined;) {
    const step: { readonly by: PortRef; readonly here: PortRef } | undefined = came.get(id);
    way.unshift({ id, ...(step && { into: step.here.port }), ...(out !== undefined && { out }) });
    out = step?.by.port;
    id = step?.by.part;
  }
  return way;
}
