import type { Facts } from '../engine';
import { nodeKey } from '../engine/circuit';
import type { Part } from '../parts';
import type { LaidPart } from '../rig';

/** A load of so many times an output's own resistance leaves its level alone, −0.83 dB. */
export const BRIDGES = 10;

/** A side of an output: its contact, what gives it its sound, and the resistance between. */
export interface OutputSide {
  readonly port: string;
  readonly role: 'left' | 'right';
  readonly net: number | undefined;
  readonly gives: string;
  /** It gives a sound of its own, or amplifies one of what is played; else it is a stage, and both may have the same. */
  readonly isOwn: boolean;
  readonly ohms: number;
}

/** Whether a stage of a part amplifies one side of what a host plays by it, and nothing else. */
function isPlayed({ paths = [], circuit }: Part, drive: string): boolean {
  const senses = paths.filter(({ to }) => to === drive).map(({ from }) => from);
  const plays = (sense: string): boolean =>
    circuit.some(
      (e) =>
        e.kind === 'sense' &&
        e.id === sense &&
        circuit.some((one) => one.kind === 'signal' && one.hears === 'playback' && one.a === e.a),
    );
  return senses.length === 1 && senses.every(plays);
}

/** From a contact, through what stands in series with it, to the first thing of the part that gives sound. */
function giverOf(
  { part }: LaidPart,
  contact: string,
): Pick<OutputSide, 'gives' | 'isOwn' | 'ohms'> | undefined {
  const open = [{ node: contact, ohms: 0 }];
  const seen = new Set([contact]);
  for (let at = open.shift(); at !== undefined; at = open.shift()) {
    const { node, ohms } = at;
    for (const element of part.circuit) {
      if (element.a !== node && element.b !== node) continue;
      if ((element.kind === 'signal' || element.kind === 'drive') && element.a === node)
        return { gives: element.id, isOwn: element.kind === 'signal' || isPlayed(part, element.id), ohms };
      const isLine = element.kind === 'resistor' || element.kind === 'capacitor' || element.kind === 'wire';
      const next = element.a === node ? element.b : element.a;
      if (!isLine || seen.has(next)) continue;
      seen.add(next);
      const own = element.kind === 'resistor' && typeof element.ohms === 'number' ? element.ohms : 0;
      open.push({ node: next, ohms: ohms + own });
    }
  }
  return undefined;
}

/** The sides of every output of a part, by the roles of its contacts. */
export function outputSides(facts: Facts, laid: LaidPart): OutputSide[] {
  return laid.part.ports
    .filter(({ direction }) => direction !== 'in')
    .flatMap((port) =>
      Object.entries(port.roles ?? {}).flatMap(([contact, role]): OutputSide[] => {
        if (role !== 'left' && role !== 'right') return [];
        const giver = giverOf(laid, `${port.id}.${contact}`);
        const net = facts.nets.of(nodeKey(laid.placed.id, `${port.id}.${contact}`));
        return giver ? [{ port: port.id, role, net, ...giver }] : [];
      }),
    );
}

/** What gives a source's sound: itself, and what plays it, such as the dongle in a phone's port. */
function giversOf(facts: Facts, source: string): readonly LaidPart[] {
  const voices = new Set(facts.voices.filter(({ placed }) => placed === source).map(({ id }) => id));
  const players = facts.elements.filter((e) => e.kind === 'signal' && voices.has(e.id));
  return [...new Set([source, ...players.map(({ placed }) => placed)])].flatMap(
    (id) => facts.laid.get(id) ?? [],
  );
}

/** The sides of the outputs of each part that is meant to be heard, and of what plays it: of others there is nothing to lose. */
export const sidesOfSources = (
  facts: Facts,
): readonly {
  readonly source: string;
  readonly laid: LaidPart;
  readonly sides: readonly OutputSide[];
}[] =>
  facts.rig.purpose.sources.flatMap((source) =>
    giversOf(facts, source).map((laid) => ({ source, laid, sides: outputSides(facts, laid) })),
  );
