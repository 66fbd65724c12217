import type { Branch, Nets } from './nets';

/** Nets that conduct into one another, with the branches among them. The first net is the reference. */
export interface Island {
  readonly nets: readonly number[];
  readonly branches: readonly Branch[];
}

/** Splits the nets by the branches that conduct; a net on which nothing conducts is an island of its own. */
export function islands(nets: Nets, conducts: (branch: Branch) => boolean): Island[] {
  const island = Array.from({ length: nets.count }, (_, net) => net);
  const root = (net: number): number => {
    const up = island[net] ?? net;
    return up === net ? net : (island[net] = root(up));
  };
  const live = nets.branches.filter(conducts);
  for (const branch of live) island[root(branch.from)] = root(branch.to);
  const members = new Map<number, { nets: number[]; branches: Branch[] }>();
  for (let net = 0; net < nets.count; net += 1) {
    const key = root(net);
    const group = members.get(key);
    if (group) group.nets.push(net);
    else members.set(key, { nets: [net], branches: [] });
  }
  for (const branch of live) members.get(root(branch.from))?.branches.push(branch);
  return [...members.values()];
}
