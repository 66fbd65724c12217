import { readNode, type Branch, type NodeKey } from '../circuit';
import type { Facts } from '../facts';
import { shortestCycles } from './cycles';
import { groundContacts } from './mains';
import { EARTH_PART, type EarthNetwork } from './network';

/** A closed way through grounds, shields and protective conductors. */
export interface EarthLoop {
  /** Placed parts in the order in which it goes through them. */
  readonly parts: readonly string[];
  /** Strips and outlets through which it closes; none where it closes by a supply lead. */
  readonly places: readonly string[];
  /** Ohms round it. */
  readonly ohms: number;
}

/** More than this between two grounds joins them no longer: the lift of a DI box, an earpiece. */
const JOINS_UNDER = 12;

type Conducting = Branch & { readonly ohms: number };

/** What drives a protective conductor stands in it and has no resistance of its own. */
const inConductors = ({ sources }: EarthNetwork): ReadonlySet<string> =>
  new Set(sources.flatMap(({ id, drive }) => (drive.inConductor ? [id] : [])));

/** Branches that join grounds: leads, solder, protective conductors. */
function joining(network: EarthNetwork): Conducting[] {
  const driven = inConductors(network);
  return network.nets.branches.flatMap((branch): Conducting[] => {
    if (branch.kind === 'resistor') return branch.ohms < JOINS_UNDER ? [branch] : [];
    return branch.kind === 'signal' && driven.has(branch.id) ? [{ ...branch, ohms: 0 } as Conducting] : [];
  });
}

/** Of them those that are reached from a ground: the others carry sound. */
function fromGround(facts: Facts, network: EarthNetwork): Conducting[] {
  const { nets } = network;
  const all = joining(network);
  const at = new Map<number, Conducting[]>();
  for (const branch of all)
    for (const net of [branch.from, branch.to]) at.set(net, [...(at.get(net) ?? []), branch]);
  const grounds = [...facts.laid.values()].flatMap((one) => groundContacts(one).slice(0, 1));
  const reached = new Set(grounds.flatMap((node) => nets.of(node) ?? []));
  for (const net of reached)
    for (const { from, to } of at.get(net) ?? []) {
      reached.add(from);
      reached.add(to);
    }
  return all.filter(({ from, to }) => reached.has(from) && reached.has(to) && from !== to);
}

const once = <T>(list: readonly T[]): T[] => [...new Set(list)];

const placeOf = (node: NodeKey): string | undefined => {
  const { placed, node: inner } = readNode(node);
  return placed === EARTH_PART && inner.startsWith('place ') ? inner.slice('place '.length) : undefined;
};

/** Every loop of grounds: of those that share a conductor the shortest. */
export function earthLoops(facts: Facts, network: EarthNetwork | undefined): EarthLoop[] {
  if (!network) return [];
  const branches = fromGround(facts, network);
  const edges = branches.map(({ from, to }) => ({ a: from, b: to }));
  const groundOf = new Map(
    [...facts.laid.values()].flatMap((one) => {
      const [first] = groundContacts(one);
      const net = first === undefined ? undefined : network.nets.of(first);
      return net === undefined ? [] : [[net, one.placed.id] as const];
    }),
  );
  const loops = shortestCycles(edges).map((cycle): EarthLoop => {
    const parts = cycle.flatMap((index) => {
      const branch = branches[index] as Conducting;
      const boxes = [branch.from, branch.to].flatMap((net) => groundOf.get(net) ?? []);
      return branch.placed === EARTH_PART ? [] : [branch.placed, ...boxes];
    });
    const places = cycle.flatMap((index) => {
      const branch = branches[index] as Conducting;
      return [branch.a, branch.b].flatMap((node) => placeOf(node) ?? []);
    });
    return {
      parts: once(parts),
      places: once(places),
      ohms: cycle.reduce((sum, index) => sum + (branches[index]?.ohms ?? 0), 0),
    };
  });
  return [...new Map(loops.map((loop) => [[...loop.parts].sort().join(), loop])).values()];
}
