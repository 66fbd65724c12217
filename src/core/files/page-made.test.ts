import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ownCopy } from '../parts/own-part';
import { APPS } from '../apps';
import { CATALOGUE } from '../parts';
import {
  applyEdit,
  copyName,
  freshId,
  laidParts,
  LIMITS,
  withOwnParts,
  withUsedParts,
  type Rig,
  type RigEdit,
} from '../rig';
import { checkRig, readRig } from './read-rig';
import schema from './rig-schema.json';
import { writeRig } from './write-rig';

const EMPTY: Rig = {
  format: 'symplex-rig',
  version: 1,
  id: 'constructor',
  name: 'New rig',
  parts: [],
  joints: [],
  surroundings: { voice: 'normal' },
  purpose: { sources: [], recorders: [] },
};
const [base] = CATALOGUE;
const OWN = base ? [ownCopy(base, 'Tarred', new Set())] : [];
const PARTS = [...CATALOGUE, ...OWN];

const text = fc.oneof(fc.string({ maxLength: 20 }), fc.string({ minLength: 100, maxLength: 200 }));
const number = fc.oneof(fc.double({ noNaN: false }), fc.constantFrom(0.2, 1, -1, 1e308, 0, NaN, Infinity));

/** Any edit that a page could ask for, suitable or not: its places are drawn from the rig as it then stands. */
const edits = fc.array(fc.record({ kind: fc.nat(23), a: fc.nat(), b: fc.nat(), c: fc.nat(), text, number }), {
  minLength: 1,
  maxLength: 40,
});
type Drawn = { kind: number; a: number; b: number; c: number; text: string; number: number };

const pick = <T>(list: readonly T[], n: number): T | undefined => list[n % Math.max(1, list.length)];

function editOf(rig: Rig, { kind, a, b, c, text: said, number: figure }: Drawn): RigEdit {
  const laid = pick(laidParts(rig), a);
  const part = laid?.placed.id ?? 'constructor';
  const setting = pick(laid?.part.settings ?? [], b);
  const option = setting?.kind === 'switch' ? (pick(setting.options, c)?.id ?? said) : figure;
  const ports = laidParts(rig).flatMap((l) => l.part.ports.map((p) => ({ part: l.placed.id, port: p.id })));
  const [x, y] = [pick(ports, b), pick(ports, c)];
  const to = pick(PARTS, c)?.id ?? '';
  const app = pick(APPS, b)?.id ?? '';
  const nowhere = { part, port: 'constructor' };
  const kinds: readonly RigEdit[] = [
    { kind: 'place', part: to },
    { kind: 'place', part: pick(PARTS, b)?.id ?? '' },
    { kind: 'join', a: x ?? nowhere, b: y ?? nowhere },
    { kind: 'join', a: y ?? nowhere, b: x ?? nowhere },
    { kind: 'swap', part, to, ports: [] },
    { kind: 'set', part, setting: setting?.id ?? said, option },
    { kind: 'set', part, setting: 'constructor', option: said },
    { kind: 'choose', part, choice: said, option: said },
    { kind: 'length', part, metres: figure },
    { kind: 'distance', part, metres: figure },
    { kind: 'label', part, label: said },
    { kind: 'note', text: said.repeat(30) },
    { kind: 'rename', name: said },
    { kind: 'mean', part, as: c % 2 ? 'sources' : 'recorders', meant: b % 3 > 0 },
    { kind: 'tracks', apart: a % 2 > 0 },
    { kind: 'app', part, app },
    { kind: 'remove', part },
    { kind: 'add', part: to, port: pick(PARTS, c)?.ports[0]?.id ?? '', at: x ?? nowhere },
    { kind: 'policy', policy: { app, way: 'usb', takes: true, kind: 'claimed', date: '2026-11-25' } },
    { kind: 'air', placing: { speaker: 'one', microphone: 'two', metres: figure } },
    { kind: 'room', room: { cubicMetres: figure, seconds: 0.4 } },
    {
      kind: 'person',
      person: { id: c % 2 ? 'ann' : said, name: said, microphone: part, places: [{ part, degrees: figure }] },
    },
    { kind: 'person', person: { id: 'ann', name: 'Ann', wears: c % 3 ? part : said } },
    { kind: 'leave', person: 'ann' },
  ];
  return kinds[kind] ?? { kind: 'rename', name: said };
}

describe('what the page can make', () => {
  it('whatever is done to a rig, its file reads back as the same rig', () => {
    fc.assert(
      fc.property(edits, (drawn) => {
        let rig = withOwnParts(EMPTY, OWN);
        for (const one of drawn) rig = applyEdit(rig, editOf(rig, one));
        const made = withUsedParts(rig);
        const read = readRig(writeRig(made));
        expect(read).toEqual({ ok: true, rig: JSON.parse(JSON.stringify(made)), warnings: [] });
      }),
      { seed: 20261125, numRuns: 300 },
    );
  });

  it('a copy of the longest name has a name that a file may have', () => {
    const copied = copyName('x'.repeat(118));
    expect(copied).toHaveLength(LIMITS.name);
    expect(copied.endsWith(', copy')).toBe(true);
    expect(checkRig({ ...EMPTY, name: copied }).ok).toBe(true);
  });

  it('an id of the greatest length can be had ten times over, each time a good one', () => {
    const taken = new Set<string>();
    for (let n = 0; n < 12; n += 1) {
      const id = freshId('y'.repeat(LIMITS.id), taken);
      expect([id, checkRig({ ...EMPTY, id }).ok]).toEqual([id, true]);
      taken.add(id);
    }
    expect(taken.size).toBe(12);
  });

  it('a part more than a file may hold is not laid out', () => {
    let rig = EMPTY;
    for (let n = 0; n < LIMITS.parts + 5; n += 1)
      rig = applyEdit(rig, { kind: 'place', part: 'lead-trs-trs' });
    expect(rig.parts).toHaveLength(LIMITS.parts);
    expect(checkRig(rig).ok).toBe(true);
  });

  it('holds no more than the schema allows', () => {
    const { properties: p, $defs } = schema;
    expect({
      name: p.name.maxLength,
      note: p.note.maxLength,
      parts: p.parts.maxItems,
      joints: p.joints.maxItems,
      intended: p.purpose.properties.sources.maxItems,
      policies: p.policies.maxItems,
      shortestDistance: p.surroundings.properties.distances.additionalProperties.minimum,
      longestDistance: p.surroundings.properties.distances.additionalProperties.maximum,
      place: $defs.placedPart.properties.mains.maxLength,
      longestSession: $defs.session.properties.minutes.maximum,
      people: p.surroundings.properties.people.maxItems,
      person: $defs.person.properties.name.maxLength,
      stands: $defs.person.properties.places.maxItems,
      farthest: $defs.stand.properties.metres.maximum,
      largestRoom: $defs.room.properties.cubicMetres.maximum,
      longestReverberation: $defs.room.properties.seconds.maximum,
      longestLead: $defs.placedPart.properties.length.maximum,
      id: Number(/,(\d+)\}/.exec($defs.id.pattern)?.[1]) + 1,
    }).toEqual(LIMITS);
  });
});
