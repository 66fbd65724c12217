import { REFERENCE_FREQUENCY } from '../../engine/circuit';
import type { Contact } from '../../plugs';
import { maximumsOf, type Part, type PartPort } from '../../parts';
import type { Wanted } from './end';
import { partNet, rangeOf, type Watched } from './part-net';
import { isNothing, outerEquations, reducePart, type Reduced } from './reduce-part';

/** Contacts of a port with the nodes of the part's circuit on which they lie. */
export const nodesOfPort = (port: PartPort, part: Part): readonly (readonly [Contact, number])[] => {
  const byPort = portNodes.get(part) ?? new Map<string, readonly (readonly [Contact, number])[]>();
  portNodes.set(part, byPort);
  const known = byPort.get(port.id) ?? findNodes(port, part);
  byPort.set(port.id, known);
  return known;
};

const portNodes = new WeakMap<Part, Map<string, readonly (readonly [Contact, number])[]>>();

function findNodes(port: PartPort, part: Part): readonly (readonly [Contact, number])[] {
  const net = partNet(part);
  const prefix = `${port.id}.`;
  const found = new Map<Contact, number>();
  for (const e of part.circuit) {
    const names = e.kind === 'transformer' ? [e.a, e.b, e.c, e.d] : [e.a, e.b];
    for (const name of names) {
      const node = name.startsWith(prefix) ? net.nodeOf(name) : undefined;
      if (node !== undefined) found.set(name.slice(prefix.length) as Contact, node);
    }
  }
  return [...found];
}

/** A direct voltage that must stand inside a part. */
export type Want = Watched & Wanted;

/** What a part's own sources and stages want: phantom, plug-in power. */
function wantsOf(part: Part): Want[] {
  const { nodeOf } = partNet(part);
  /** The most volts that the contact bears on which it lies, through so many ohms. */
  const mostAt = (node: number, ohms: number): number =>
    Math.min(
      Infinity,
      ...maximumsOf(part).flatMap(({ plus, volts = Infinity, milliamps = Infinity }) =>
        nodeOf(plus) === node ? [volts, (milliamps / 1000) * ohms] : [],
      ),
    );
  const want = (id: string, plus: string, minus: string, volts: number, ohms = Infinity): Want[] => {
    const [p, m] = [nodeOf(plus), nodeOf(minus)];
    return p === undefined || m === undefined
      ? []
      : [{ id, plus: p, minus: m, volts, most: mostAt(p, ohms) }];
  };
  const { stagesNeed } = part;
  return [
    ...(stagesNeed ? want('stages', stagesNeed.plus, stagesNeed.minus, stagesNeed.volts) : []),
    ...part.circuit.flatMap((e) =>
      e.kind === 'electret'
        ? want(e.id, e.a, e.b, e.minimumBias, e.dcResistance)
        : e.kind === 'signal' && e.needs
          ? want(e.id, e.needs.plus, e.needs.minus, e.needs.volts)
          : [],
    ),
  ];
}

const watchedIn = (part: Part): Watched[] => {
  const { nodeOf } = partNet(part);
  const watch = (id: string, plus: string, minus: string): Watched[] => {
    const [p, m] = [nodeOf(plus), nodeOf(minus)];
    return p === undefined || m === undefined ? [] : [{ id, plus: p, minus: m }];
  };
  return [
    ...part.circuit.flatMap((e) => (e.kind === 'sense' ? watch(e.id, e.a, e.b) : [])),
    ...(part.captures ?? []).flatMap((capture) =>
      capture.channels.flatMap(({ plus, minus }, index) => watch(`${capture.id}#${index}`, plus, minus)),
    ),
  ];
};

const detectionsIn = (part: Part): Watched[] => {
  const { nodeOf } = partNet(part);
  return (part.captures ?? []).flatMap(({ id, detection }): Watched[] => {
    const plus = detection && nodeOf(detection.microphone);
    const minus = detection && nodeOf(detection.ground);
    return plus === undefined || minus === undefined ? [] : [{ id: `${id}?`, plus, minus }];
  });
};

/** A way of a stage from what it senses to what it drives, as a factor, at the least and at the most that its knobs give. */
export interface StageWay {
  readonly from: string;
  readonly to: string;
  readonly least: number;
  readonly most: number;
  readonly inverts: boolean;
  /** Own noise of what senses, with every switch where it is least, dBV. */
  readonly noise: number;
  /** It works only while a port of the part is fed. */
  readonly fed: boolean;
}

const noiseOf = (part: Part, sense: string): number => {
  const element = part.circuit.find((e) => e.kind === 'sense' && e.id === sense);
  return element?.kind === 'sense' ? rangeOf(element.noise, part).least : -Infinity;
};

const ways = new WeakMap<Part, readonly StageWay[]>();

function stageWays(part: Part): readonly StageWay[] {
  const known = ways.get(part);
  if (known) return known;
  const found = (part.paths ?? []).map(({ from, to, gain, inverts, fedBy }): StageWay => {
    const ranges = gain.map((quantity) => rangeOf(quantity, part));
    const factor = (db: number) => 10 ** (db / 20);
    return {
      from,
      to,
      least: factor(ranges.reduce((sum, r) => sum + r.least, 0)),
      most: factor(ranges.reduce((sum, r) => sum + r.most, 0)),
      inverts: inverts ?? false,
      noise: noiseOf(part, from),
      fed: fedBy !== undefined,
    };
  });
  ways.set(part, found);
  return found;
}

/** A part seen from one port, or from the one that is entered and the one that is left. */
export interface Passage {
  readonly part: Part;
  readonly places: readonly ReadonlyMap<Contact, number>[];
  readonly alternating: Reduced;
  readonly direct: Reduced;
  readonly wants: readonly Want[];
  readonly ways: readonly StageWay[];
}

/** What has nothing to do with the ports in question is left out. */
function relevant(reduced: Reduced): Reduced {
  const isLive = ({ of, sources }: Reduced['forms'][number]) =>
    !of.every(isNothing) || !sources.every(isNothing);
  const forms = reduced.forms.filter(isLive);
  const drives = reduced.columns.map(
    ({ into }, c) => !into.every(isNothing) || forms.some((form) => !isNothing(form.sources[c] ?? [0, 0])),
  );
  return {
    ...reduced,
    columns: reduced.columns.filter((_, c) => drives[c]),
    forms: forms.map((form) => ({ ...form, sources: form.sources.filter((_, c) => drives[c]) })),
  };
}

/** What every passage of a part begins with. */
function outerOf(part: Part, hertz: number) {
  const net = partNet(part, hertz);
  const contacts = new Set(part.ports.flatMap((port) => nodesOfPort(port, part).map(([, node]) => node)));
  const [wants, watched] = [wantsOf(part), watchedIn(part)];
  const standing = [...wants, ...detectionsIn(part)];
  return {
    net,
    wants,
    watched,
    standing,
    alternating: outerEquations(net, 'alternating', contacts, net.sounds, watched),
    direct: outerEquations(net, 'direct', contacts, [net.supplies], standing),
  };
}

const outers = new WeakMap<Part, Map<number, ReturnType<typeof outerOf>>>();

function keptOuter(part: Part, hertz: number): ReturnType<typeof outerOf> {
  const byHertz = outers.get(part) ?? new Map<number, ReturnType<typeof outerOf>>();
  outers.set(part, byHertz);
  const known = byHertz.get(hertz) ?? outerOf(part, hertz);
  byHertz.set(hertz, known);
  return known;
}

const passages = new WeakMap<Part, Map<string, Passage>>();

/** The reduction of a part to these ports, at 1 kHz or another frequency; kept. */
export function passageOf(
  part: Part,
  ports: readonly PartPort[],
  hertz: number = REFERENCE_FREQUENCY,
): Passage {
  const byPorts = passages.get(part) ?? new Map<string, Passage>();
  passages.set(part, byPorts);
  const key = `${hertz} ${ports.map((port) => port.id).join('|')}`;
  const known = byPorts.get(key);
  if (known) return known;
  const outer = keptOuter(part, hertz);
  const { net, wants } = outer;
  const contacts = ports.map((port) => nodesOfPort(port, part));
  const kept = [...new Set(contacts.flat().map(([, node]) => node))];
  const alternating = relevant(reducePart(net, outer.alternating, kept, net.sounds, outer.watched));
  const direct = reducePart(net, outer.direct, kept, [net.supplies], outer.standing);
  const found = {
    part,
    places: contacts.map((some) => new Map(some.map(([contact, node]) => [contact, kept.indexOf(node)]))),
    alternating,
    direct,
    wants,
    ways: stageWays(part),
  };
  byPorts.set(key, found);
  return found;
}
