import { spreadOf, figureOf, type Spread } from '../circuit';
import type { RigFacts, Facts } from '../facts';
import { farPort, type Walk } from '../supply';
import { supplySockets, type Part } from '../../parts';
import { jointAt, settingOf, type LaidPart, type PortRef } from '../../rig';

/** What a part is fed for: as a device of a host, through a hub, or to be charged. */
export type FedAs = 'device' | 'onward' | 'supply' | 'charge';

/** A supply line from a socket that gives to a port that takes, over what lies between. */
export interface Feed {
  readonly from: PortRef;
  readonly to: PortRef;
  readonly as: FedAs;
  /** What the socket gives, mA, from the least that such sockets give to the most; 0 for one that is off. */
  readonly gives: Spread;
  /** On paper: what the host decides on, mA. */
  readonly declared: number;
  /** What really flows, mA, typical. */
  readonly takes: number;
  /** Metres of lead. */
  readonly metres: number;
  /** Turned away: it takes nothing. */
  readonly refused: boolean;
}

/** A charger's socket charges what has no figure of its own with so much, mA. Typical. */
const CHARGING = 500;

const chargeSockets = (part: Part): string[] =>
  supplySockets(part).filter((id) => id !== part.bus?.port && id !== part.hub?.upstream);

/** Sockets by which a box hands a charge on to the host that it hangs on. */
export const handsOn = (part: Part): string[] =>
  part.hub || part.bus ? chargeSockets(part).filter((id) => !ownPower(part).includes(id)) : [];

/** Sockets that feed the box itself alone. */
const ownPower = (part: Part): string[] =>
  (part.power ?? []).flatMap((source) =>
    'port' in source && source.port !== part.bus?.port ? [source.port] : [],
  );

/** Ports by which a part may take current. */
function intakes({ part }: LaidPart): Map<string, FedAs> {
  const found = new Map<string, FedAs>();
  for (const port of chargeSockets(part)) found.set(port, 'supply');
  if (part.bus) found.set(part.bus.port, 'device');
  if (part.hub) found.set(part.hub.upstream, 'onward');
  for (const { port } of part.host?.busPorts ?? []) found.set(port, 'charge');
  if (part.battery && !part.host)
    for (const { id, roles, direction } of part.ports)
      if (direction === 'in' && Object.values(roles ?? {}).includes('supply')) found.set(id, 'charge');
  return found;
}

/** Sockets of a part that give, with what. */
function givers(laid: LaidPart, isSupplied: boolean): [port: string, gives: Spread, byHost: boolean][] {
  const { part } = laid;
  const hub = part.hub?.sockets ?? [];
  const host = part.host?.busPorts ?? [];
  const outlets = part.outlets ?? [];
  return [
    ...outlets.map(({ port, gives }) => [port, spreadOf(gives, laid), false] as [string, Spread, boolean]),
    ...[...hub, ...host]
      .filter(({ port }) => !outlets.some((outlet) => outlet.port === port))
      .map(({ port, feeds }): [string, Spread, boolean] => {
        const quantity =
          typeof feeds === 'object' && 'supplied' in feeds
            ? isSupplied
              ? feeds.supplied
              : feeds.bare
            : feeds;
        return [port, spreadOf(quantity, laid), part.host !== undefined];
      }),
  ];
}

type Line = Omit<Feed, 'declared' | 'takes' | 'refused'>;

/** Whether a hub or adapter has a supply beside its host. */
const isSuppliedBy = (laid: LaidPart, lines: readonly Pick<Line, 'to' | 'gives'>[]): boolean =>
  (laid.part.hub?.supplied ?? []).some((source) =>
    'setting' in source
      ? settingOf(laid, source.setting) === source.is
      : lines.some((l) => l.to.part === laid.placed.id && l.to.port === source.port && l.gives.most > 0),
  );

/** Every supply line of a rig, before anybody asks what flows. */
function linesOf(walk: Walk): Line[] {
  const found: Line[] = [];
  const supplied = new Set<string>();
  // Whether a hub is supplied decides what its sockets give: outlets first.
  const laid = [...walk.laid.values()];
  const ordered = [...laid.filter(({ part }) => part.outlets), ...laid.filter(({ part }) => !part.outlets)];
  const follow = (one: LaidPart) => {
    for (const [port, gives, byHost] of givers(one, supplied.has(one.placed.id))) {
      const from = { part: one.placed.id, port };
      if (!jointAt(walk.rig, from)) continue;
      const far = farPort(walk, one.placed.id, port, 'V', (to, id) => intakes(to).has(id));
      const to = far && walk.laid.get(far.placed);
      const as = to && far && intakes(to).get(far.port);
      if (!to || !far || !as || (byHost && to.part.host)) continue;
      found.push({ from, to: { part: far.placed, port: far.port }, as, gives, metres: far.metres });
    }
  };
  for (const one of ordered.filter(({ part }) => !part.hub)) {
    follow(one);
  }
  for (const one of laid) if (isSuppliedBy(one, found)) supplied.add(one.placed.id);
  for (const one of ordered.filter(({ part }) => part.hub)) follow(one);
  return found;
}

/** What a host, pack or receiver takes in while it is charged, mA. */
const chargingOf = (laid: LaidPart): number =>
  laid.part.battery?.charging === undefined ? CHARGING : figureOf(laid.part.battery.charging, laid);

class Flows {
  readonly supplied: (placed: string) => boolean;

  constructor(
    private readonly facts: Pick<RigFacts, 'laid' | 'devices'>,
    private readonly lines: readonly Line[],
    walk: Walk,
  ) {
    const found = new Set(
      [...walk.laid.values()].filter((one) => isSuppliedBy(one, lines)).map((l) => l.placed.id),
    );
    this.supplied = (placed) => found.has(placed);
  }

  private below(placed: string, seen: ReadonlySet<string>): number {
    const sockets = this.facts.laid.get(placed)?.part.hub?.sockets ?? [];
    return this.lines
      .filter(({ from }) => from.part === placed && sockets.some(({ port }) => port === from.port))
      .reduce((sum, line) => sum + this.takes(line, seen), 0);
  }

  /** The host that a box hangs on by its plug, if it hands a charge on to it: only the box at the host itself does. */
  private hostAbove(placed: string): LaidPart | undefined {
    const part = this.facts.laid.get(placed)?.part;
    const up = part?.hub?.upstream ?? part?.bus?.port;
    const line = this.lines.find(({ to }) => to.part === placed && to.port === up);
    const above = line && this.facts.laid.get(line.from.part);
    return above?.part.host ? above : undefined;
  }

  /** What is asked of a socket by what hangs on it, mA. */
  takes(line: Line, seen: ReadonlySet<string> = new Set()): number {
    const laid = this.facts.laid.get(line.to.part);
    const key = `${line.to.part} ${line.to.port}`;
    if (!laid || seen.has(key)) return 0;
    const on = new Set([...seen, key]);
    const { part, placed } = laid;
    switch (line.as) {
      case 'device':
        return this.device(laid, line);
      case 'onward':
        return this.supplied(placed.id) ? 0 : (part.hub?.ownDraw ?? 0) + this.below(placed.id, on);
      case 'supply': {
        const needs = part.hub ? part.hub.ownDraw + this.below(placed.id, on) : 0;
        const own =
          ownPower(part).includes(line.to.port) && part.bus
            ? figureOf(part.bus.takes ?? part.bus.draw, laid)
            : 0;
        const host = handsOn(part).includes(line.to.port) ? this.hostAbove(placed.id) : undefined;
        const left = Math.max(0, line.gives.most - needs - own);
        return needs + own + (host ? Math.min(chargingOf(host), left) : 0);
      }
      case 'charge':
        return Math.min(chargingOf(laid), line.gives.most);
    }
  }

  /** What a host gets of a supply that a box hands on to it, mA. */
  handedTo(host: string): number {
    return this.lines
      .filter(({ as, to }) => {
        const part = this.facts.laid.get(to.part)?.part;
        return (
          as === 'supply' &&
          part &&
          handsOn(part).includes(to.port) &&
          this.hostAbove(to.part)?.placed.id === host
        );
      })
      .reduce((sum, line) => {
        const { part, placed } = this.facts.laid.get(line.to.part) as LaidPart;
        const needs = part.hub ? part.hub.ownDraw + this.below(placed.id, new Set()) : 0;
        return sum + Math.max(0, this.takes(line) - needs);
      }, 0);
  }

  /** A device takes what its host lets it; at a charger it takes what it wants. */
  private device({ placed, part }: LaidPart, { from, gives }: Line): number {
    const attached = this.facts.devices.find((one) => one.placed === placed.id);
    if (attached) return attached.fed ? attached.takes : 0;
    const isHost = this.facts.laid.get(from.part)?.part.host !== undefined;
    if (isHost || !part.bus) return 0;
    return Math.min(figureOf(part.bus.takes ?? part.bus.draw, { placed, part }), gives.most);
  }

  feed(line: Line): Feed {
    const device = this.facts.devices.find((one) => one.placed === line.to.part);
    const refused = line.as === 'device' && device !== undefined && !device.fed;
    const takes = this.takes(line);
    return { ...line, takes, declared: line.as === 'device' ? (device?.draws ?? takes) : takes, refused };
  }
}

/** The supply of a rig: every line with what flows in it, and what each host is charged with. */
export interface SupplyGraph {
  readonly feeds: readonly Feed[];
  /** What a box hands on to its host, mA. */
  readonly handedTo: (host: string) => number;
  readonly isSupplied: (placed: string) => boolean;
}

const graphs = new WeakMap<object, SupplyGraph>();

/** Who feeds whom, from the joints: every feed has a real supply at its far end. */
export function supplyGraph(facts: Pick<Facts, 'rig' | 'laid' | 'devices' | 'wires'>): SupplyGraph {
  const known = graphs.get(facts);
  if (known) return known;
  const walk: Walk = facts;
  const lines = linesOf(walk);
  const flows = new Flows(facts, lines, walk);
  const graph: SupplyGraph = {
    feeds: lines.map((line) => flows.feed(line)),
    handedTo: (host) => flows.handedTo(host),
    isSupplied: flows.supplied,
  };
  graphs.set(facts, graph);
  return graph;
}
