import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { random } from '../../../testing/takes/random';
import { readRig } from '../files/read-rig';
import { findPart, type Part, type PartPort } from '../parts';
import { mate } from '../plugs';
import { applyEdit } from './edits';
import { keepRoles, type Kept } from './keep-roles';
import { swapEdits } from './swaps';

const harbour = () => {
  const read = readRig(readFileSync('demo/rigs/harbour-call-in.json', 'utf8'));
  if (!read.ok) throw new Error('harbour');
  return read.rig;
};
const part = (id: string): Part => {
  const found = findPart(id);
  if (!found) throw new Error(id);
  return found;
};

describe('a box of many leads in the place of another', () => {
  it('is one swap, in which every lead is where it was by name', () => {
    const rig = harbour();
    const edits = swapEdits(rig, 'mixer', part('mixer-large'));
    expect(edits).toHaveLength(1);
    const after = edits.reduce(applyEdit, rig);
    const ends = (one: typeof rig) =>
      one.joints.flatMap(({ plug, jack }) => [plug, jack]).filter((end) => end.part === 'mixer');
    const had = new Set(part('mixer-large').ports.map(({ id }) => id));
    ends(rig).forEach((end, index) => {
      if (had.has(end.port)) expect(ends(after)[index]?.port).toBe(end.port);
    });
    expect(ends(after)).toHaveLength(ends(rig).length);
  });

  it('is none where an output would have to go into an input', () => {
    expect(swapEdits(harbour(), 'mixer', part('interface-eight-inputs'))).toEqual([]);
  });
});

/** Every way to give each lead a fitting port of the same direction, tried one by one. */
function canSeat(to: Part, leads: readonly Kept[], taken: ReadonlySet<string> = new Set()): boolean {
  const [first, ...rest] = leads;
  if (!first) return true;
  return to.ports.some((port) => {
    const opening = port.opening ?? port.id;
    if (taken.has(opening) || port.direction !== first.own.direction || !mate(port, first.far).fits)
      return false;
    return canSeat(to, rest, new Set([...taken, opening]));
  });
}

describe('keeping roles', () => {
  it('finds a place for every lead wherever trying every way finds one (400 cases, seed 61)', () => {
    const next = random(61);
    const boxes = [
      'mixer-one-mic',
      'mixer-fx-usb',
      'mixer-rca-only',
      'interface-two-inputs',
      'mixer-portable-phone',
    ].map(part);
    const pick = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)] as T;
    let [seated, refused] = [0, 0];
    for (let n = 0; n < 400; n += 1) {
      const [from, to] = [pick(boxes), pick(boxes)];
      const ports = [...from.ports].sort(() => next() - 0.5).slice(0, 1 + Math.floor(next() * 5));
      const opposite = (port: PartPort): PartPort => ({
        ...port,
        id: 'far',
        gender: port.gender === 'jack' ? 'plug' : 'jack',
      });
      const leads = ports.map((own): Kept => ({ own, far: opposite(own) }));
      const kept = keepRoles(to, leads);
      expect(kept !== undefined).toBe(canSeat(to, leads));
      if (kept) seated += 1;
      else refused += 1;
      const used = (kept ?? []).map((id) => to.ports.find((port) => port.id === id)?.opening ?? id);
      expect(new Set(used).size).toBe(used.length);
      kept?.forEach((id, index) => {
        const port = to.ports.find((one) => one.id === id);
        expect(port?.direction).toBe(leads[index]?.own.direction);
      });
    }
    expect(Math.min(seated, refused)).toBeGreaterThan(60);
  });
});
