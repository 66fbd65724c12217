import type { Facts } from '../engine';
import { figureOf, magnitude, nodeKey, type StagePath } from '../engine/circuit';
import type { Listener } from '../engine/returns';
import { deadPaths } from './stages';

/** Whether a stage's output would be heard by a listener. */
function feedsEars(facts: Facts, drive: string, { listener }: Listener): boolean {
  return (facts.laid.get(listener)?.part.ears ?? []).some(({ plus, minus }) => {
    const net = (node: string) => facts.nets.of(nodeKey(listener, node));
    const gain = facts.alternating.gain(drive, net(plus), net(minus));
    return gain !== undefined && magnitude(gain) > 0;
  });
}

/** The stages that would bring a source to a listener, and carry nothing. */
export const deadMonitors = (facts: Facts, listener: Listener, source: string): StagePath[] =>
  deadPaths(facts, source).filter((path) => feedsEars(facts, path.to, listener));

/** The setting that keeps a stage of a living part silent; undefined where none does. */
export function offSwitch(facts: Facts, path: StagePath): string | undefined {
  const laid = facts.laid.get(path.placed);
  const own = laid?.part.paths?.find(
    (p) => nodeKey(path.placed, p.from) === path.from && nodeKey(path.placed, p.to) === path.to,
  );
  for (const gain of own?.gain ?? []) {
    if (laid && typeof gain === 'object' && 'setting' in gain && figureOf(gain, laid) === -Infinity)
      return gain.setting;
  }
  return undefined;
}

/** Each pair of headphones with each source that it does not hear. */
export const unheard = (facts: Facts): { readonly listener: Listener; readonly source: string }[] =>
  facts.listeners.flatMap((listener) =>
    facts.rig.purpose.sources
      .filter((source) => !listener.sources.some((s) => s.source === source))
      .map((source) => ({ listener, source })),
  );
