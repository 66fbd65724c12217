import { loopOf, solveLoop, type Couplings, type Loop } from './loops';
import { ZERO, plusProduct, type Phasor } from './system';

/** Stages in an order in which each comes after all that feed it; those of a loop stand together. */
export interface StageOrder {
  readonly groups: readonly (readonly string[])[];
  readonly loops: readonly Loop[];
}

/** Strongly connected components, each after those that lead to it (Tarjan 1972). */
function components(couplings: Couplings): string[][] {
  const found: string[][] = [];
  const order = new Map<string, number>();
  const low = new Map<string, number>();
  const stack: string[] = [];
  const open = new Set<string>();
  const visit = (node: string) => {
    order.set(node, order.size);
    low.set(node, order.size - 1);
    stack.push(node);
    open.add(node);
    for (const next of couplings.get(node)?.keys() ?? []) {
      if (!order.has(next)) {
        visit(next);
        low.set(node, Math.min(low.get(node) ?? 0, low.get(next) ?? 0));
      } else if (open.has(next)) {
        low.set(node, Math.min(low.get(node) ?? 0, order.get(next) ?? 0));
      }
    }
    if (low.get(node) !== order.get(node)) return;
    const group: string[] = [];
    for (let top = stack.pop(); top !== undefined; top = stack.pop()) {
      open.delete(top);
      group.push(top);
      if (top === node) break;
    }
    found.push(group.reverse());
  };
  for (const node of couplings.keys()) if (!order.has(node)) visit(node);
  return found.reverse();
}

const isLoop = (group: readonly string[], couplings: Couplings): boolean =>
  group.length > 1 || (couplings.get(group[0] ?? '')?.has(group[0] ?? '') ?? false);

export function stageOrder(couplings: Couplings): StageOrder {
  const groups = components(couplings);
  const loops = groups.filter((group) => isLoop(group, couplings)).map((group) => loopOf(group, couplings));
  return { groups, loops };
}

/** The volts of every drive that a source reaches, from what it brings to each directly; loops are solved, not walked. */
export function drivenBy(
  { groups, loops }: StageOrder,
  couplings: Couplings,
  direct: ReadonlyMap<string, Phasor>,
): Map<string, Phasor> {
  const volts = new Map(direct);
  const looped = new Map(loops.map((loop) => [loop.drives, loop]));
  for (const group of groups) {
    if (!group.some((drive) => volts.has(drive))) continue;
    const loop = looped.get(group);
    if (loop) {
      const begun = group.map((drive) => volts.get(drive) ?? ZERO);
      for (const [index, value] of solveLoop(loop, couplings, begun).entries())
        volts.set(group[index] ?? '', value);
    }
    for (const from of group) {
      const brought = volts.get(from);
      if (!brought) continue;
      for (const [to, gain] of couplings.get(from) ?? []) {
        if (group.includes(to)) continue;
        volts.set(to, plusProduct(volts.get(to) ?? ZERO, gain, brought));
      }
    }
  }
  return volts;
}
