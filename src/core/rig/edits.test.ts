import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { APPS } from '../apps';
import { CATALOGUE, findPart } from '../parts';
import { analyse } from '../judge';
import { layRig } from '../../../testing/lay-rig';
import { applyEdit, freshId, swapEdits, type Rig, type RigEdit } from '.';
import { checkRig } from '../files/read-rig';

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
    fc.record({ kind: fc.constant('place' as const), part: catalogue }),
    fc.record({ kind: fc.constant('unplug' as const), joint }),
    fc.record({ kind: fc.constant('tracks' as const), apart: fc.boolean() }),
    fc.record({
      kind: fc.constant('mean' as const),
      part: placed,
      as: fc.constantFrom('sources' as const, 'recorders' as const),
      meant: fc.boolean(),
    }),
    anyJoining(placed, catalogue),
    anyAppEdit,
  );
};

/** Every pair of ports of one rig, and every part onto every free port: most of them do not suit. */
const anyJoining = (placed: fc.Arbitrary<string>, catalogue: fc.Arbitrary<string>): fc.Arbitrary<RigEdit> => {
  const port = fc.constantFrom('a', 'b', 'out', 'jack', 'usb', 'plug', 'port', 'mic-1', 'charge');
  const ref = fc.record({ part: placed, port });
  return fc.oneof(
    fc.record({ kind: fc.constant('join' as const), a: ref, b: ref }),
    fc.record({ kind: fc.constant('add' as const), part: catalogue, port, at: ref }),
    fc.record({
      kind: fc.constant('bridge' as const),
      part: catalogue,
      ports: fc.tuple(port, port),
      between: fc.tuple(ref, ref),
    }),
  );
};

const anyAppEdit: fc.Arbitrary<RigEdit> = fc.oneof(
  fc.record({
    kind: fc.constant('app' as const),
    part: fc.constant('phone'),
    app: fc.constantFrom(...APPS.map((app) => app.id)),
  }),
  fc.record({
    kind: fc.constant('policy' as const),
    policy: fc.record({
      app: fc.constantFrom(...APPS.map((app) => app.id)),
      way: fc.constantFrom('headset' as const, 'usb' as const),
      takes: fc.boolean(),
      kind: fc.constant('claimed' as const),
      date: fc.constant('2026-11-24'),
    }),
  }),
  fc.record({ kind: fc.constant('note' as const), text: fc.string({ maxLength: 20 }) }),
  fc.record({
    kind: fc.constant('label' as const),
    part: fc.constant('lead'),
    label: fc.constantFrom('', ' Red '),
  }),
);

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

  it('two plugs at one part change places, and do so once more; what would not fit stays', () => {
    const keys = layRig({
      parts: { keys: 'keyboard', l: 'lead-jack-ts', r: 'lead-jack-ts', pack: 'receiver-trs' },
      joints: ['l.a keys.left', 'r.a keys.right'],
    });
    const [left, right] = ['left', 'right'].map((port) => ({ part: 'keys', port }));
    const move: RigEdit = { kind: 'move', joint: 'j1', from: left!, to: right! };
    const exchanged = applyEdit(keys, move);
    expect(exchanged.joints.map(({ plug, jack }) => `${plug.part} ${jack.port}`)).toEqual([
      'l right',
      'r left',
    ]);
    expect(applyEdit(exchanged, { ...move, from: right!, to: left! })).toEqual(keys);
    const mixer = layRig({
      parts: { mixer: 'mixer-fx-usb', xlr: 'lead-xlr', jack: 'lead-jack-ts' },
      joints: ['xlr.pins mixer.mic-1', 'jack.a mixer.pair-1-left'],
    });
    const [socket, line] = ['mic-1', 'pair-1-left'].map((port) => ({ part: 'mixer', port }));
    expect(applyEdit(mixer, { kind: 'move', joint: 'j1', from: socket!, to: line! })).toBe(mixer);
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

  it('plugs a part onto a free port, joins two, pulls a plug; what does not suit changes nothing', () => {
    const at = { part: 'phone', port: 'jack' };
    const loose = applyEdit(rig, { kind: 'unplug', joint: 'j2' });
    const added = applyEdit(loose, { kind: 'add', part: 'headphones-trs', port: 'plug', at });
    expect(added.joints[1]).toMatchObject({ plug: { part: 'headphones-trs', port: 'plug' }, jack: at });
    expect(applyEdit(rig, { kind: 'add', part: 'headphones-trs', port: 'plug', at })).toBe(rig);
    const again = applyEdit(loose, { kind: 'join', a: at, b: { part: 'lead', port: 'b' } });
    expect(again.joints[1]).toMatchObject({ plug: { part: 'lead', port: 'b' }, jack: at });
    const twoJacks: RigEdit = { kind: 'join', a: at, b: { part: 'receiver', port: 'out' } };
    expect(applyEdit(loose, twoJacks)).toBe(loose);
  });

  it('bridges two free ends by a part more, or changes nothing', () => {
    const between = [
      { part: 'receiver', port: 'out' },
      { part: 'phone', port: 'jack' },
    ] as const;
    const bare = applyEdit(rig, { kind: 'remove', part: 'lead' });
    const bridge: RigEdit = { kind: 'bridge', part: 'patch-trs-trrs', ports: ['trs', 'trrs'], between };
    expect(applyEdit(bare, bridge).joints.map(({ plug, jack }) => [plug, jack])).toEqual([
      [{ part: 'patch-trs-trrs', port: 'trs' }, between[0]],
      [{ part: 'patch-trs-trrs', port: 'trrs' }, between[1]],
    ]);
    expect(applyEdit(rig, bridge)).toBe(rig);
    expect(applyEdit(bare, { ...bridge, ports: ['trs', 'trs'] })).toBe(bare);
    expect(applyEdit(bare, { ...bridge, part: 'nothing' })).toBe(bare);
  });

  it('means a microphone and the first recorder as such when they are laid out, headphones not', () => {
    const empty = { ...rig, parts: [], joints: [], purpose: { sources: [], recorders: [] } };
    const laid = ['clip-on-trrs', 'headset-ctia', 'phone-ctia', 'camera-trs'].reduce<Rig>(
      (r, id) => applyEdit(r, { kind: 'place', part: id }),
      empty,
    );
    expect(laid.purpose).toEqual({ sources: ['clip-on-trrs'], recorders: ['phone-ctia'] });
  });

  it('a label or a note made of nothing is none', () => {
    const named = applyEdit(rig, { kind: 'label', part: 'lead', label: ' Red lead ' });
    expect(named.parts[1]?.label).toBe('Red lead');
    expect(applyEdit(named, { kind: 'label', part: 'lead', label: '  ' })).toEqual(rig);
    expect(applyEdit(applyEdit(rig, { kind: 'note', text: 'x' }), { kind: 'note', text: '' })).toEqual(rig);
  });

  it('another app forgets what was chosen in the one before', () => {
    const chosen = applyEdit(applyEdit(rig, { kind: 'app', part: 'phone', app: 'multitrack' }), {
      kind: 'choose',
      part: 'phone',
      choice: 'arm-1',
      option: 'off',
    });
    expect(checkRig(chosen).ok).toBe(true);
    expect(
      applyEdit(chosen, { kind: 'app', part: 'phone', app: 'voice-room' }).parts[2]?.choices,
    ).toBeUndefined();
  });

  it('what is said anew of a session leaves the rest of it as it was', () => {
    const edits: RigEdit[] = [
      { kind: 'session', session: { minutes: 90 } },
      { kind: 'session', session: { charge: { phone: 0.5 } } },
      { kind: 'session', session: { load: 'film', charge: { receiver: 0.8 } } },
      { kind: 'session', session: { charge: { phone: 1 } } },
    ];
    const planned = edits.reduce<Rig>(applyEdit, rig);
    expect(planned.surroundings.session).toEqual({ minutes: 90, load: 'film', charge: { receiver: 0.8 } });
    const open = applyEdit(planned, { kind: 'session', session: { load: null } });
    expect(open.surroundings.session).toEqual({ minutes: 90, charge: { receiver: 0.8 } });
    expect(applyEdit(rig, { kind: 'session', session: { load: 'film' } })).toBe(rig);
    expect(applyEdit(open, { kind: 'session' }).surroundings.session).toBeUndefined();
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
        expect(checkRig(JSON.parse(JSON.stringify(end)))).toMatchObject({ ok: true });
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
