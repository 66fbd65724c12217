import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { findingKey } from '../../checks';
import { analyse, outcomeOf } from '../../judge';
import { readRig } from '../../files/read-rig';
import { applyEdit } from '../../rig';
import { sayEdit } from '../../words';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { fixesFor, moveOptions, swapOptions } from '.';

const FAULTY: Readonly<Record<string, RigSketch>> = {
  'TRS lead in a headset jack': {
    parts: { receiver: 'receiver-trs', lead: 'lead-trs-trs', phone: 'phone-ctia' },
    joints: ['receiver.out lead.a', 'lead.b phone.jack'],
  },
  'patch cable the wrong way round': {
    parts: { receiver: 'receiver-trs', lead: 'patch-trs-trrs', phone: 'phone-ctia' },
    joints: ['receiver.out lead.trrs', 'lead.trs phone.jack'],
  },
  'patch cable in a TRS microphone socket': {
    parts: {
      receiver: 'receiver-trs',
      lead: 'patch-trs-trrs',
      splitter: 'splitter-trs',
      phone: 'phone-ctia',
    },
    joints: ['receiver.out lead.trs', 'lead.trrs splitter.mic', 'splitter.plug phone.jack'],
  },
  'camera headphone jack': {
    parts: { receiver: 'receiver-trs', lead: 'lead-trs-trs', camera: 'camera-trs' },
    joints: ['receiver.out lead.a', 'lead.b camera.phones'],
  },
  'receiver on high': {
    parts: { receiver: 'receiver-trs', lead: 'patch-trs-trrs', phone: 'phone-ctia' },
    joints: ['receiver.out lead.trs', 'lead.trrs phone.jack'],
    settings: { receiver: { output: 'high' } },
    voice: 'loud',
  },
};

describe('fixes', () => {
  it.each(Object.entries(FAULTY))(
    '%s: every offered fix removes the finding and adds nothing as bad',
    (_, sketch) => {
      const rig = layRig(sketch);
      const { findings } = analyse(rig);
      expect(findings.length).toBeGreaterThan(0);
      for (const finding of findings) {
        const fixes = fixesFor(rig, finding, {});
        expect(fixes.length, finding.code).toBeGreaterThan(0);
        for (const fix of fixes) {
          const after = outcomeOf(applyEdit(rig, fix.edit));
          expect(after).toEqual(fix.outcome);
          expect(after.findings.map(findingKey)).not.toContain(findingKey(finding));
        }
      }
    },
  );

  const firstFix = (name: string, drawer = {}) => {
    const rig = layRig(FAULTY[name]!);
    return fixesFor(rig, analyse(rig).findings[0]!, drawer)[0];
  };

  it('two plugs in one another’s sockets are exchanged, which costs nothing', () => {
    const keys = layRig({
      parts: { keys: 'keyboard', l: 'lead-jack-ts', r: 'lead-jack-ts', recorder: 'recorder-line' },
      joints: ['l.a keys.right', 'l.b recorder.line-left', 'r.a keys.left', 'r.b recorder.line-right'],
    });
    const [found] = analyse(keys).findings.filter(({ code }) => code === 'sides-exchanged');
    const [first] = fixesFor(keys, found!, {});
    expect(first).toMatchObject({
      edit: { kind: 'move' },
      owned: true,
      cost: 0,
      outcome: { verdict: 'clean' },
    });
    expect(first!.outcome.findings.map(({ code }) => code)).not.toContain('sides-exchanged');
    expect(sayEdit(keys, first!.edit)).toMatch(
      /^Exchange the plugs in the output (left|right) and the output (left|right) of/,
    );
  });

  it('offers the patch cable first for the TRS lead, the right way round', () => {
    expect(firstFix('TRS lead in a headset jack')).toMatchObject({
      edit: { kind: 'swap', to: 'patch-trs-trrs', ports: ['trs', 'trrs'] },
      owned: false,
      outcome: { verdict: 'clean' },
    });
  });
  it('offers what the drawer holds before what must be bought', () => {
    expect(firstFix('TRS lead in a headset jack', { 'splitter-trs': 1 })).toMatchObject({
      edit: { kind: 'insert', part: 'splitter-trs' },
      owned: true,
      cost: 0,
    });
  });
  it('offers to turn a cable round, which costs nothing', () => {
    expect(firstFix('patch cable the wrong way round')).toMatchObject({ edit: { kind: 'turn' }, cost: 0 });
  });
  it('offers the plain TRS lead for a TRS microphone socket', () => {
    const rig = layRig(FAULTY['patch cable in a TRS microphone socket']!);
    const fixes = fixesFor(rig, analyse(rig).findings[0]!, { 'lead-trs-trs': 1 });
    expect(fixes[0]).toMatchObject({ edit: { kind: 'swap', part: 'lead', to: 'lead-trs-trs' }, owned: true });
  });
  it('offers the camera’s mic jack', () => {
    expect(firstFix('camera headphone jack')).toMatchObject({
      edit: { kind: 'move', to: { part: 'camera', port: 'mic' } },
    });
  });
  it('offers the low setting against clipping', () => {
    expect(firstFix('receiver on high')).toMatchObject({ edit: { kind: 'set', option: 'low' } });
  });
});

describe('options at a part', () => {
  const rig = layRig(FAULTY['camera headphone jack']!);
  it('lists what fits there with its outcome, without what is there', () => {
    const options = swapOptions(rig, 'lead');
    expect(options.map((o) => o.part)).not.toContain('lead-trs-trs');
    expect(options.every((o) => o.outcome.arrives.length === 1)).toBe(true);
    expect(options.map((o) => o.part)).toContain('patch-trs-trrs');
  });
  it('in the place of a coupler: no recorder and no instrument, and of a desk a few ways, with how many were not tried', () => {
    const read = readRig(readFileSync('demo/rigs/launch-day-stream.json', 'utf8'));
    const options = read.ok ? swapOptions(read.rig, 'coupler') : [];
    const of = (id: string) => options.filter(({ part }) => part === id);
    expect(options.length).toBeGreaterThan(10);
    expect(of('keyboard')).toEqual([]);
    expect(of('recorder-line')).toEqual([]);
    expect(of('mixer-large').length).toBeGreaterThan(0);
    expect(of('mixer-large').length).toBeLessThanOrEqual(3);
    expect(of('mixer-large').at(-1)?.untried).toBeGreaterThan(50);
    // Either way round it does the same: that is one choice.
    expect(of('isolator-jack')).toHaveLength(1);
    expect(of('isolator-jack')[0]?.untried).toBeUndefined();
  });
  it('in the place of a desk of ten leads: other desks', () => {
    const read = readRig(readFileSync('demo/rigs/harbour-call-in.json', 'utf8'));
    const options = read.ok ? swapOptions(read.rig, 'mixer') : [];
    expect(options.map(({ part }) => part)).toContain('mixer-large');
  });
  it('lists the free sockets of a part', () => {
    expect(moveOptions(rig, 'camera').map((o) => o.edit)).toEqual([
      {
        kind: 'move',
        joint: 'j2',
        from: { part: 'camera', port: 'phones' },
        to: { part: 'camera', port: 'mic' },
      },
    ]);
  });
});
