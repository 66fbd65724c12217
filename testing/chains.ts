import fc from 'fast-check';
import { CATALOGUE, type Part, type PartPort } from '../src/core/parts';
import { matchPorts, type Rig } from '../src/core/rig';

interface Link {
  readonly part: Part;
  readonly id: string;
  readonly used: string;
}

interface Choice {
  readonly port: PartPort;
  readonly next: Part;
  readonly other: string;
}

/** Every way in which some part of the catalogue goes onto a free port of a link. */
function choices({ part, used }: Link): Choice[] {
  return part.ports
    .filter((port) => port.id !== used)
    .flatMap((port) =>
      CATALOGUE.flatMap((next) =>
        matchPorts(next, [port]).flatMap(([other]) => (other === undefined ? [] : [{ port, next, other }])),
      ),
    );
}

const records = ({ next, other }: Choice): boolean =>
  next.host !== undefined && next.ports.find((port) => port.id === other)?.direction !== 'out';

/** Sound leaves by the one port and may enter by the other. */
const flows = ({ port, next, other }: Choice): boolean =>
  port.direction !== 'in' && next.ports.find((p) => p.id === other)?.direction !== 'out';

/** Every so many picks go on in any way at all, whether sound could flow along it or not. */
const WILD = 8;

/** The way to go on: one along which sound could flow, into something that records if that fits; now and then any. */
function choose(link: Link, pick: number, isLast: boolean): Choice | undefined {
  const open = choices(link);
  const flowing = pick % WILD === 0 ? [] : open.filter(flows);
  const ending = isLast || pick % 3 !== 0 ? flowing.filter(records) : [];
  const among = [ending, flowing, open].find((some) => some.length > 0) ?? [];
  return among[Math.floor(pick / WILD) % Math.max(among.length, 1)];
}

/** Lays parts one after the other, each on some port of the one before that takes it; `picks` choose among them. */
export function layChain(first: Part, picks: readonly number[]): Rig {
  const parts = [{ id: 'p0', part: first.id }];
  const joints: Rig['joints'][number][] = [];
  let end: Link = { part: first, id: 'p0', used: '' };
  for (const [index, pick] of picks.entries()) {
    const choice = end.part.host ? undefined : choose(end, pick, index === picks.length - 1);
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

const SOURCES = CATALOGUE.filter((part) => part.family === 'receiver' || part.family === 'microphone');

/** A microphone or receiver and up to seven parts after it; most end at something that records. */
export const anyChain: fc.Arbitrary<Rig> = fc
  .tuple(fc.constantFrom(...SOURCES), fc.array(fc.nat(10_000), { minLength: 1, maxLength: 7 }))
  .map(([first, picks]) => layChain(first, picks));
