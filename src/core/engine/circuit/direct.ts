import { volts, type Volts } from '../../units';
import { blocks } from './blocks';
import type { NodeKey } from './netlist';
import type { Nets } from './nets';
import { buildSystem } from './system';

/** Direct voltages of the rig. Two nets that no direct current joins have no voltage between them: undefined. */
export interface DirectSolution {
  readonly between: (plus: number | undefined, minus: number | undefined) => Volts | undefined;
  /** Nodes of nets on which nothing at all lies. */
  readonly floating: readonly NodeKey[];
  /** Nodes of nets whose equations have no single answer; their voltages are undefined too. */
  readonly singular: readonly NodeKey[];
}

/** Direct-current solution by modified nodal analysis, block by block. */
export function solveDirect(nets: Nets): DirectSolution {
  const conducting = nets.branches.filter((branch) => branch.kind !== 'capacitor');
  const split = blocks(nets, conducting);
  const voltage = new Map<number, number>();
  const singular: NodeKey[] = [];
  for (const block of split.blocks) {
    const supplies = block.branches.filter((branch) => branch.kind === 'supply');
    if (supplies.length === 0) {
      for (const net of block.nets) voltage.set(net, 0);
      continue;
    }
    const system = buildSystem(block, 0);
    if (system.isSingular()) {
      singular.push(...block.nets.map((net) => nets.names[net] ?? ''));
      continue;
    }
    const [answer] = system.solve([{ rows: supplies.map((s) => [s, { re: s.volts, im: 0 }]) }]);
    for (const net of block.nets) voltage.set(net, answer?.net(net).re ?? 0);
  }
  const against = (net: number): number | undefined =>
    split.climb(net).reduce<number | undefined>((sum, step) => {
      const part = voltage.get(step.net);
      return sum === undefined || part === undefined ? undefined : sum + part;
    }, 0);
  const touched = new Set(nets.branches.flatMap((b) => [b.from, b.to, b.winding?.from, b.winding?.to]));
  return {
    floating: nets.names.filter((_, net) => !touched.has(net)),
    singular,
    between: (plus, minus) => {
      if (plus === undefined || minus === undefined) return undefined;
      if (split.floor.get(plus) !== split.floor.get(minus)) return undefined;
      const [p, m] = [against(plus), against(minus)];
      return p === undefined || m === undefined ? undefined : volts(p - m);
    },
  };
}
