import { CATALOGUE, type Part } from '../src/core/parts';
import { matchPorts, type Rig } from '../src/core/rig';

interface Link {
  readonly part: Part;
  readonly id: string;
  readonly used: string;
}

/** Every way in which some part of the catalogue goes onto a free port of a link. */
function choices({ part, used }: Link) {
  return part.ports
    .filter((port) => port.id !== used)
    .flatMap((port) =>
      CATALOGUE.flatMap((next) =>
        matchPorts(next, [port]).flatMap(([other]) => (other === undefined ? [] : [{ port, next, other }])),
      ),
    );
}

/** Lays parts one after the other, each on some port of the one before that takes it; `picks` choose among them. */
export function layChain(first: Part, picks: readonly number[]): Rig {
  const parts = [{ id: 'p0', part: first.id }];
  const joints: Rig['joints'][number][] = [];
  let end: Link = { part: first, id: 'p0', used: '' };
  for (const [index, pick] of picks.entries()) {
    const open = choices(end);
    const choice = open[pick % Math.max(open.length, 1)];
    if (!choice) break;
    const id = `p${index + 1}`;
    const here = { part: end.id, port: choice.port.id };
    const there = { part: id, port: choice.other };
    const ends = choice.port.gender === 'plug' ? { plug: here, jack: there } : { plug: there, jack: here };
    parts.push({ id, part: choice.next.id });
    joints.push({ id: `j${index}`, ...ends });
    end = { part: choice.next, id, used: choice.other };
  }
  const hosts = parts.filter(({ part }) => CATALOGUE.find((p) => p.id === part)?.host).map(({ id }) => id);
  return {
    format: 'symplex-rig',
    version: 1,
    id: 'chain',
    name: 'Chain',
    parts,
    joints,
    surroundings: { voice: 'normal' },
    purpose: { sources: ['p0'], recorders: hosts },
  };
}
