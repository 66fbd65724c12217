import { volts, type Volts } from '../../units';
import { blocks } from './blocks';
import type { NodeKey } from './netlist';
import type { Branch, Nets } from './nets';
import { buildSystem, type Response } from './system';

/** Direct voltages of the rig. Two nets that no direct current joins have no voltage between them: undefined. */
export interface DirectSolution {
  readonly between: (plus: number | undefined, minus: number | undefined) => Volts | undefined;
  /**
   * The direct current, A, that flows from a net into the elements of one placed part: what comes to it through its contacts on
   * that net. Undefined for a net of which nothing is known.
   */
  readonly currentInto: (placed: string, net: number | undefined) => number | undefined;
  /** Nodes of nets on which nothing at all lies. */
  readonly floating: readonly NodeKey[];
  /** Nodes of nets whose equations have no single answer; their voltages are undefined too. */
  readonly singular: readonly NodeKey[];
}

/** Direct resistance of a branch without an equation of its own. */
function ohmsOf(branch: Branch): number {
  switch (branch.kind) {
    case 'resistor':
    case 'sense':
      return branch.ohms;
    case 'electret':
      return branch.capsule.dcResistance;
    default:
      return Infinity;
  }
}

/** A branch as its block has it, with the block's answer. */
interface Solved {
  readonly branch: Branch;
  readonly answer: Response;
}

/** The current from a branch's `from` to its `to`, A. */
function currentOf({ branch, answer }: Solved): number {
  const ohms = ohmsOf(branch);
  if (ohms !== Infinity) return (answer.net(branch.from).re - answer.net(branch.to).re) / ohms;
  return branch.kind === 'transformer' ? 0 : answer.row(branch).re;
}

/** Direct-current solution by modified nodal analysis, block by block. */
export function solveDirect(nets: Nets): DirectSolution {
  const conducting = nets.branches.filter((branch) => branch.kind !== 'capacitor');
  const split = blocks(nets, conducting);
  const voltage = new Map<number, number>();
  const singular: NodeKey[] = [];
  const solved = new Map<Branch, Solved>();
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
    if (answer) for (const branch of block.branches) solved.set(block.original(branch), { branch, answer });
  }
  const against = (net: number): number | undefined =>
    split.path(net).reduce<number | undefined>((sum, step) => {
      const part = voltage.get(step.net);
      return sum === undefined || part === undefined ? undefined : sum + part;
    }, 0);
  const touched = new Set(nets.branches.flatMap((b) => [b.from, b.to, b.winding?.from, b.winding?.to]));
  return {
    floating: nets.names.filter((_, net) => !touched.has(net)),
    singular,
    currentInto: (placed, net) => {
      if (net === undefined) return undefined;
      let sum = 0;
      for (const branch of conducting) {
        if (branch.placed !== placed || (branch.from !== net && branch.to !== net)) continue;
        const found = solved.get(branch);
        if (found) sum += (branch.from === net ? 1 : -1) * currentOf(found);
      }
      return sum;
    },
    between: (plus, minus) => {
      if (plus === undefined || minus === undefined) return undefined;
      if (split.component[plus] !== split.component[minus]) return undefined;
      const [p, m] = [against(plus), against(minus)];
      return p === undefined || m === undefined ? undefined : volts(p - m);
    },
  };
}
