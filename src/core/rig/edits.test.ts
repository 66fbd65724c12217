import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findPart } from '../parts';
import { analyse } from '../pipeline';
import { layRig } from '../testing/lay-rig';
import { applyEdit, checkRig, freshId, swapEdits, type Rig, type RigEdit } from '.';

const rig = layRig({
  parts: { receiver: 'receiver-trs', lead: 'lead-trs-trs', phone: 'phone-ctia' },
  joints: ['receiver.out lead.a', 'lead.b phone.jack'],
});

const part = (id: string) => {
  const found = findPart(id);
  if (!found) throw new Error(`no part "${id}"`);
  return found;
};

/** Edits of every kind, sensible or not. */
const anyEdit = (parts: readonly string[], joints: readonly string[]): fc.Arbitrary<RigEdit> => {
  const placed = fc.constantFrom(...parts, 'nobody');
  const joint = fc.constantFrom(...joints, 'nowhere');
  const catalogue = fc.constantFrom(...CATALOGUE.map((p) => p.id));
  const port = fc.constantFrom('a', 'b', 'trs', 'trrs', 'out', 'jack', 'mic', 'phones', 'plug');
  return fc.oneof(
    fc.record({ kind: fc.constant('turn' as const), part: placed }),
    fc.record({ kind: fc.constant('remove' as const), part: placed }),
    fc.record({
      kind: fc.constant('set' as const),
      part: fc.constant('receiver'),
      setting: fc.constant('output'),
      option: fc.constantFrom('low', 'high'),
    }),
    fc.record({
      kind: fc.constant('voice' as const),
      voice: fc.constantFrom('normal' as const, 'shout' as const),
    }),
    fc.record({
      kind: fc.constant('distance' as const),
      part: fc.constant('receiver'),
      metres: fc.double({ min: 0.05, max: 5, noNaN: true }),
    }),
    fc.record({ kind: fc.constant('insert' as const), joint, part: catalogue, ports: fc.tuple(port, port) }),
  );
};

describe('edits', () => {
  it('swaps a lead in both ways round when its ends differ', () => {
    const edits = swapEdits(rig, 'lead', part('patch-trs-trrs'));
    expect(edits.map((e) => (e.kind === 'swap' ? e.ports : []))).toEqual([
      ['trs', 'trrs'],
      ['trrs', 'trs'],
    ]);
  });

  it('swaps in a symmetrical lead one way only, a one-way lead of equal plugs both ways', () => {
    const patched = applyEdit(rig, swapEdits(rig, 'lead', part('patch-trs-trrs'))[0]!);
    expect(swapEdits(patched, 'lead', part('lead-trs-trs'))).toHaveLength(1);
    expect(swapEdits(patched, 'lead', part('lead-left-to-both'))).toHaveLength(2);
  });

  it('offers no swap for a part that does not fit', () => {
    expect(swapEdits(rig, 'lead', part('dongle-8-pin-headset'))).toEqual([]);
  });

  it('keeps joint names, and plug and jack in their places, when swapping', () => {
    const [edit] = swapEdits(rig, 'lead', part('patch-trs-trrs'));
    const swapped = applyEdit(rig, edit!);
    expect(swapped.joints).toEqual([
      { id: 'j1', plug: { part: 'lead', port: 'trs' }, jack: { part: 'receiver', port: 'out' } },
      { id: 'j2', plug: { part: 'lead', port: 'trrs' }, jack: { part: 'phone', port: 'jack' } },
    ]);
  });

  it('drops settings that the new part lacks and keeps those it has', () => {
    const set = applyEdit(rig, { kind: 'set', part: 'receiver', setting: 'output', option: 'high' });
    const [toTipOnly] = swapEdits(set, 'receiver', part('receiver-tip-only'));
    expect(applyEdit(set, toTipOnly!).parts[0]?.settings).toEqual({ output: 'high' });
    const [toHeadset] = swapEdits({ ...set, joints: [] }, 'receiver', part('headset-ctia'));
    expect(applyEdit({ ...set, joints: [] }, toHeadset!).parts[0]?.settings).toBeUndefined();
  });

  it('turned twice, a lead lies as before', () => {
    const turn: RigEdit = { kind: 'turn', part: 'lead' };
    expect(applyEdit(applyEdit(rig, turn), turn)).toEqual(rig);
  });

  it('moves a plug to another socket, but never onto an occupied one', () => {
    const camera = layRig({
      parts: { receiver: 'receiver-trs', lead: 'lead-trs-trs', camera: 'camera-trs' },
      joints: ['receiver.out lead.a', 'lead.b camera.phones'],
    });
    const to = { part: 'camera', port: 'mic' };
    const move: RigEdit = { kind: 'move', joint: 'j2', from: { part: 'camera', port: 'phones' }, to };
    const moved = applyEdit(camera, move);
    expect(moved.joints[1]?.jack).toEqual(to);
    const clash: RigEdit = { kind: 'move', joint: 'j1', from: { part: 'receiver', port: 'out' }, to };
    expect(applyEdit(moved, clash)).toBe(moved);
  });

  it('inserts between the two ends of a joint, and removes with all that hung on it', () => {
    const edit: RigEdit = { kind: 'insert', joint: 'j2', part: 'splitter-trs', ports: ['mic', 'plug'] };
    const grown = applyEdit(rig, edit);
    expect(checkRig(grown).ok).toBe(true);
    expect(grown.joints.map((j) => j.jack)).toEqual([
      { part: 'receiver', port: 'out' },
      { part: 'splitter-trs', port: 'mic' },
      { part: 'phone', port: 'jack' },
    ]);
    const less = applyEdit(rig, { kind: 'remove', part: 'phone' });
    expect(less.purpose.recorders).toEqual([]);
    expect(less.joints.map((j) => j.id)).toEqual(['j1']);
  });

  it('finds free names', () => {
    expect(freshId('lead', new Set(['lead', 'lead-2']))).toBe('lead-3');
  });
});

describe('properties (seed 20261123)', () => {
  const edits = fc.array(anyEdit(['receiver', 'lead', 'phone'], ['j1', 'j2']), { maxLength: 6 });
  const run = (property: Parameters<typeof fc.assert>[0]) =>
    fc.assert(property, { seed: 20261123, numRuns: 150 });

  it('no sequence of edits makes a rig that the pipeline cannot take', () => {
    run(
      fc.property(edits, (sequence) => {
        const end = sequence.reduce<Rig>(applyEdit, rig);
        expect(['clean', 'faulty', 'silent', 'unsafe']).toContain(analyse(end).verdict);
      }),
    );
  });

  it('an edit leaves the rig it was given as it was', () => {
    const before = JSON.stringify(rig);
    run(
      fc.property(edits, (sequence) => {
        sequence.reduce<Rig>(applyEdit, rig);
        expect(JSON.stringify(rig)).toBe(before);
      }),
    );
  });

  it('the order of parts and joints in the file changes nothing that is found', () => {
    const shuffled = fc.tuple(
      fc.shuffledSubarray([...rig.parts], { minLength: 3 }),
      fc.shuffledSubarray([...rig.joints], { minLength: 2 }),
    );
    const facts = (r: Rig) => {
      const { verdict, arrives, findings } = analyse(r);
      // Rounded to what sums in another order can differ by.
      const rounded = (_: string, value: unknown) =>
        typeof value === 'number' ? Math.round(value * 1e9) / 1e9 + 0 : value;
      return JSON.parse(JSON.stringify({ verdict, arrives, findings }, rounded));
    };
    run(
      fc.property(shuffled, ([parts, joints]) => {
        expect(facts({ ...rig, parts, joints })).toEqual(facts(rig));
      }),
    );
  });

  it('turning a symmetrical lead round changes nothing that is found', () => {
    const camera = layRig({
      parts: { receiver: 'receiver-trs', lead: 'lead-trs-trs', camera: 'camera-trs' },
      joints: ['receiver.out lead.a', 'lead.b camera.mic'],
    });
    for (const r of [rig, camera]) {
      const [before, after] = [analyse(r), analyse(applyEdit(r, { kind: 'turn', part: 'lead' }))];
      expect(after.verdict).toBe(before.verdict);
      expect(after.arrives[0]?.peak).toBeCloseTo(before.arrives[0]?.peak ?? NaN, 4);
    }
  });
});
