import { describe, expect, it } from 'vitest';
import { netElements } from '../../../testing/net-elements';
import { blocks, mergeNets, netPaths, solveDirect, spiceDeck } from '../engine/circuit';
import { contactsOf } from '../plugs';
import { laidParts, matchPorts, type Rig } from '../rig';
import { checkRig } from '../files/read-rig';
import {
  CATALOGUE,
  maximumOf,
  stateSwitches,
  findPart,
  isSymmetrical,
  isTurnable,
  type NodeName,
  type Part,
  type Quantity,
} from '.';
import { figuresOf } from './model/figures';
import { partProblems } from './model/part-problems';
import { checkPart } from './model/check-part';

const alone = (part: Part): Rig => ({
  format: 'symplex-rig',
  version: 1,
  id: 'alone',
  name: part.name,
  parts: [{ id: 'it', part: part.id }],
  joints: [],
  surroundings: { voice: 'normal' },
  purpose: { sources: [], recorders: [] },
});

function nodesOf(part: Part): NodeName[] {
  return part.circuit.flatMap((e) => ('c' in e ? [e.a, e.b, e.c, e.d] : [e.a, e.b]));
}

/** Every figure of a part that a setting or knob may change. */
function quantitiesOf(part: Part): Quantity[] {
  const figures = part.circuit.flatMap((element) =>
    ['ohms', 'farads', 'henries', 'volts', 'sensitivity', 'noise', 'clip'].flatMap((key) => {
      const value = (element as unknown as Record<string, Quantity | undefined>)[key];
      return value === undefined ? [] : [value];
    }),
  );
  const gains = (part.paths ?? []).flatMap((path) => path.gain);
  const captures = (part.captures ?? []).flatMap((capture) => [
    ...(capture.gain === undefined ? [] : [capture.gain]),
    ...capture.channels.flatMap((channel) => channel.gain ?? []),
  ]);
  const outlets = (part.outlets ?? []).map((outlet) => outlet.gives);
  const feeds = (part.hub?.sockets ?? []).flatMap(({ feeds: f }) =>
    typeof f === 'object' && 'supplied' in f ? [f.supplied, f.bare] : [f],
  );
  return [...figures, ...gains, ...captures, ...feeds, ...outlets, ...(part.bus ? [part.bus.draw] : [])];
}

/** Contacts named "port.contact" in a part's circuit, captures and needs. */
function contactNames(part: Part): string[] {
  const listened = (part.captures ?? []).flatMap((c) => c.channels.flatMap((ch) => [ch.plus, ch.minus]));
  const ears = (part.ears ?? []).flatMap((ear) => [ear.plus, ear.minus]);
  const bears = (part.bears ?? []).flatMap((b) => [b.plus, b.minus]);
  return [...nodesOf(part), ...listened, ...ears, ...bears].filter((node) => node.includes('.'));
}

it('has every id once', () => {
  const ids = CATALOGUE.map((part) => part.id);
  expect(new Set(ids).size).toBe(ids.length);
  expect(findPart('no-such-part')).toBeUndefined();
});

it('knows which leads may be turned round without a difference', () => {
  const symmetrical = CATALOGUE.filter(isSymmetrical).map((part) => part.id);
  expect(symmetrical).toEqual([
    'lead-trs-trs',
    'lead-trrs-trrs',
    'lead-true-mono',
    'coupler-trs',
    'coupler-trrs',
    'lead-jack-ts',
    'lead-jack-trs',
    'lead-rca',
    'coupler-xlr-pins',
    'coupler-rca',
    'coupler-jack',
    'lead-firewire',
    'lead-usb-c-c',
  ]);
  const turnable = CATALOGUE.filter(isTurnable).map((part) => part.id);
  expect(turnable).toContain('patch-trs-trrs');
  expect(turnable).toContain('lead-left-to-both');
  expect(turnable).not.toContain('lead-xlr');
});

/** What passes on has nothing of its own that could be harmed. */
const PASSIVE = ['wire', 'conductor', 'capacitor', 'resistor', 'inductor', 'transformer'];

/** Connectors whose contacts carry numbers and their supply, or no wire at all. */
const DIGITAL = /^(usb-|8-pin|firewire|radio)/;

it('knows the switches that say no more than whether a part is on', () => {
  const of = (id: string) => [...stateSwitches(findPart(id)!)].sort();
  expect(of('pack-clip-on')).toEqual(['battery', 'live']);
  expect(of('receiver-trs')).toEqual(['linked', 'live', 'power']);
  // What is heard directly, an output level, phantom: those are worked with.
  expect(of('interface-one-input')).toEqual([]);
});

describe.each(CATALOGUE.map((part) => [part.id, part] as const))('%s', (_, part) => {
  it('can be laid out, written and read back', () => {
    expect(checkRig(JSON.parse(JSON.stringify(alone(part))))).toMatchObject({ ok: true });
  });

  it('states of every contact what it bears: of what is no lead and no digital line, volts at the least', () => {
    for (const port of part.ports) {
      expect(port.bears, port.id).toBeDefined();
      if (port.bears === 'passes')
        expect(
          part.circuit.every((e) => PASSIVE.includes(e.kind)),
          port.id,
        ).toBe(true);
      else if (port.bears === 'digital') expect(DIGITAL.test(port.connector), port.id).toBe(true);
      else expect(maximumOf(port).volts, port.id).toBeGreaterThan(0);
    }
  });

  it('follows the schema and the rules of own parts, also when copied through a file', () => {
    expect([...partProblems(part)]).toEqual([]);
    const copy: unknown = JSON.parse(JSON.stringify({ ...part, id: `own-${part.id}` }));
    expect(checkPart(copy)).toMatchObject({ ok: true });
    for (const figure of figuresOf(part)) expect(Number.isFinite(figure.value), figure.name).toBe(true);
  });

  it('names only contacts that its ports have', () => {
    const known = part.ports.flatMap((port) => contactsOf(port.connector).map((c) => `${port.id}.${c}`));
    expect(contactNames(part).filter((node) => !known.includes(node))).toEqual([]);
    for (const port of part.ports) {
      const contacts = contactsOf(port.connector) as readonly string[];
      expect(Object.keys(port.roles ?? {}).filter((contact) => !contacts.includes(contact))).toEqual([]);
    }
  });

  it('listens, hears and senses only on nodes on which something lies', () => {
    const lies = new Set(nodesOf(part));
    const used = [
      ...(part.captures ?? []).flatMap((c) => c.channels.flatMap((ch) => [ch.plus, ch.minus])),
      ...(part.ears ?? []).flatMap((ear) => [ear.plus, ear.minus]),
    ];
    expect(used.filter((node) => !lies.has(node))).toEqual([]);
  });

  it('hangs its figures only on settings that it has, with a figure for every place', () => {
    for (const quantity of quantitiesOf(part)) {
      if (typeof quantity === 'number' || 'perMetre' in quantity || 'typical' in quantity) continue;
      const id = 'knob' in quantity ? quantity.knob : quantity.setting;
      const setting = part.settings?.find((s) => s.id === id);
      expect(setting?.kind, `${part.id}: ${id}`).toBe('knob' in quantity ? 'knob' : 'switch');
      if (setting?.kind === 'switch' && 'values' in quantity) {
        expect(Object.keys(quantity.values).sort()).toEqual(setting.options.map((o) => o.id).sort());
      }
    }
  });

  it('stands as delivered at a place that its settings have', () => {
    for (const setting of part.settings ?? []) {
      if (setting.kind === 'switch') expect(setting.options.map((o) => o.id)).toContain(setting.initial);
      else {
        expect(setting.initial).toBeGreaterThanOrEqual(setting.from);
        expect(setting.initial).toBeLessThanOrEqual(setting.to);
      }
    }
  });

  it('leads its paths from a sense to a drive of its own', () => {
    const named = (kind: 'sense' | 'drive') =>
      part.circuit.flatMap((element) => (element.kind === kind ? [element.id] : []));
    for (const path of part.paths ?? []) {
      expect(named('sense')).toContain(path.from);
      expect(named('drive')).toContain(path.to);
    }
  });

  it('offers digitally only what it has', () => {
    const ports = part.ports.map((port) => port.id);
    const captures = (part.captures ?? []).map((capture) => capture.id);
    for (const capture of part.captures ?? []) expect(ports).toContain(capture.port);
    for (const id of part.bus?.captures ?? []) expect(captures).toContain(id);
    const digital = [part.bus?.port, part.hub?.upstream, ...(part.hub?.sockets ?? []).map((s) => s.port)];
    for (const port of digital) if (port !== undefined) expect(ports).toContain(port);
  });

  it('has a price within the usual bands (typical, up to 700)', () => {
    expect(part.price).toBeGreaterThanOrEqual(0);
    expect(part.price).toBeLessThanOrEqual(700);
  });

  it('solves by itself, without singular equations, and is written as a netlist', () => {
    const rig = alone(part);
    const netlist = { elements: netElements(rig), paths: netPaths(rig), touches: [] };
    const nets = mergeNets(netlist);
    expect(solveDirect(nets).singular).toEqual([]);
    expect(blocks(nets, nets.branches).component.length).toBe(nets.count);
    const deck = spiceDeck(netlist, () => true);
    expect(deck.lines.filter((line) => /NaN|undefined/.test(line))).toEqual([]);
    expect(laidParts(rig)).toHaveLength(1);
  });

  it('goes together with at least one other part, if it has a port', () => {
    const partners = part.ports.map((port) =>
      CATALOGUE.filter((other) => matchPorts(other, [port]).length > 0),
    );
    for (const [index, found] of partners.entries()) {
      expect(found.length, `${part.id}.${part.ports[index]?.id ?? ''}`).toBeGreaterThan(0);
    }
  });
});
