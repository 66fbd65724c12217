import type { Facts } from '../../engine';
import { HEAPED, SHARED_OUT } from '../bother';
import { arrivalChains } from '../../engine/levels';
import type { Chain } from '../../engine/flow';
import { isSpoken, partOf, type Rig } from '../../rig';

/** The first thing that a source's sound comes into: a stage's sense, or a channel of a converter. */
function firstPlace({ stages, input, number }: Chain): string | undefined {
  const [, first, next] = stages;
  if (!first) return undefined;
  return first.is === 'converter' ? `${input} ${number}` : `${first.placed} ${next?.path?.from ?? ''}`;
}

/** Unlike sources that copper joins ahead of everything: each loads the other, and no knob behind sets one against the other. */
function isHeaped(rig: Rig, chains: readonly Chain[]): boolean {
  const kinds = new Map<string, Set<string>>();
  for (const chain of chains) {
    const place = firstPlace(chain);
    const part = partOf(rig, chain.source)?.id;
    if (place === undefined || part === undefined) continue;
    kinds.set(place, (kinds.get(place) ?? new Set()).add(part));
  }
  return [...kinds.values()].some(({ size }) => size > 1);
}

/** A microphone with no power of its own that copper shares out to several things. */
function isSharedOut(rig: Rig, chains: readonly Chain[]): boolean {
  const places = new Map<string, Set<string>>();
  for (const { source, stages } of chains) {
    const first = stages[1]?.placed;
    const part = partOf(rig, source);
    if (first === undefined || !part || !isSpoken(part) || part.power || part.battery) continue;
    places.set(source, (places.get(source) ?? new Set()).add(first));
  }
  return [...places.values()].some(({ size }) => size > 1);
}

/** What copper weighs where practice takes a box with knobs or outputs of its own (common practice). */
export function roughnessOf(facts: Facts): number {
  const chains = arrivalChains(facts);
  return (isHeaped(facts.rig, chains) ? HEAPED : 0) + (isSharedOut(facts.rig, chains) ? SHARED_OUT : 0);
}
