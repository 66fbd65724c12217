import { describe, expect, it } from 'vitest';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { outcomeOf } from '../../judge';
import { findPart } from '../../parts';
import { applyEdit, type Rig } from '../../rig';
import { dbV, metres } from '../../units';
import { allFacts } from '..';
import { metresFor, pickedUp, runsAlong, runsOf, staircases, type Run } from '.';

const long = (rig: Rig, lead: string, length: number): Rig => ({
  ...rig,
  parts: rig.parts.map((one) => (one.id === lead ? { ...one, length } : one)),
});

const MIXER: RigSketch = {
  parts: {
    mic: 'dynamic-xlr',
    xlr: 'lead-xlr',
    mixer: 'mixer-monitor-fx',
    lead: 'lead-line-headset-pad',
    phone: 'phone-ctia',
  },
  joints: ['mic.out xlr.holes', 'xlr.pins mixer.mic-1', 'mixer.mon lead.big', 'lead.trrs phone.jack'],
};

const runsIn = (rig: Rig) => {
  const [facts] = allFacts(rig);
  return staircases(facts).flatMap((staircase) => runsOf(facts, staircase));
};
const codes = (rig: Rig) => outcomeOf(rig).findings.map(({ code }) => code);

describe('runs of lead', () => {
  const rig = layRig(MIXER);

  it('are told from stage to stage: the microphone’s is balanced, the one to the phone is not', () => {
    expect(runsIn(long(rig, 'xlr', 15))).toMatchObject([
      { parts: ['xlr'], metres: 15, balanced: true },
      { parts: ['lead'], balanced: false },
    ]);
  });

  it('twelve metres to the phone are a finding, six are none, and of balanced lead no length is', () => {
    expect(codes(long(rig, 'lead', 12))).toContain('unbalanced-run');
    expect(codes(long(rig, 'lead', 6))).not.toContain('unbalanced-run');
    expect(codes(long(rig, 'xlr', 30))).not.toContain('unbalanced-run');
  });

  it('of short leads in a row, coupled, is as long as they are together', () => {
    const row = layRig({
      parts: {
        receiver: 'receiver-trs',
        a: 'lead-trs-trs',
        one: 'coupler-trs',
        b: 'lead-trs-trs',
        two: 'coupler-trs',
        c: 'lead-trs-trs',
        three: 'coupler-trs',
        d: 'lead-trs-trs',
        camera: 'camera-trs',
      },
      joints: [
        'receiver.out a.a',
        'a.b one.a',
        'one.b b.a',
        'b.b two.a',
        'two.b c.a',
        'c.b three.a',
        'three.b d.a',
        'd.b camera.mic',
      ],
    });
    const laid = (metres: number) => ['a', 'b', 'c', 'd'].reduce((at, lead) => long(at, lead, metres), row);
    expect(codes(laid(2))).toContain('unbalanced-run');
    expect(codes(laid(1.5))).not.toContain('unbalanced-run');
  });

  it('goes on through a pad', () => {
    const padded = layRig({
      parts: {
        mic: 'dynamic-xlr',
        run: 'lead-xlr',
        pad: 'pad-xlr-20',
        interface: 'interface-small',
        phone: 'phone-usb-c',
      },
      joints: [
        'mic.out run.holes',
        'run.pins pad.holes',
        'pad.pins interface.mic-1',
        'interface.usb phone.port',
      ],
    });
    const [first] = runsIn(long(padded, 'run', 12));
    expect(first).toMatchObject({ parts: ['run', 'pad'], metres: 12, balanced: true });
  });

  it.each([
    ['lead-jack-trs', true],
    ['lead-jack-ts', false],
  ] as const)('from a balanced send by %s into a transformer: balanced %s', (lead, balanced) => {
    const [mixer, run, box] = ['mixer-monitor-fx', lead, 'isolator-jack'].map((id) => findPart(id)!);
    const [a, b] = run!.ports;
    const into = box!.ports.find(({ gender }) => gender === 'jack')!;
    const out = box!.ports.find((port) => port !== into)!;
    const way = [
      { part: mixer!, metres: 0, out: 'mon' },
      { part: run!, metres: 12, into: a!.id, out: b!.id },
      { part: box!, metres: 0, into: into.id, out: out.id },
    ];
    expect(runsAlong(way)).toMatchObject([{ first: 1, last: 1, metres: 12, balanced }]);
  });

  it('a transformer for each side against the sleeve parts earths and balances nothing', () => {
    const [mixer, run, box] = ['mixer-monitor-fx', 'lead-headphones-aux', 'isolator-trs'].map((id) =>
      findPart(id)!,
    );
    const way = [
      { part: mixer!, metres: 0, out: 'mon' },
      { part: run!, metres: 12, into: 'big', out: 'small' },
      { part: box!, metres: 0, into: 'in', out: 'out' },
    ];
    expect(runsAlong(way)).toMatchObject([{ first: 1, last: 1, metres: 12, balanced: false }]);
  });

  it('it says how many metres, and stays a note', () => {
    const found = outcomeOf(long(rig, 'lead', 12)).findings.find(({ code }) => code === 'unbalanced-run');
    expect(found).toMatchObject({
      severity: 'note',
      values: [{ value: 12, unit: 'm' }, { unit: 'dB' }, { unit: 'dB' }],
    });
    for (const { value } of found!.values) expect(Number.isFinite(value)).toBe(true);
  });

  it('switched down it is a longer way under the noise: louder sound stands further over what is picked up', () => {
    const under = (level: number) => {
      const turned = applyEdit(long(rig, 'lead', 12), {
        kind: 'set',
        part: 'mixer',
        setting: 'mon-mic-1',
        option: level,
      });
      return outcomeOf(turned).findings.find(({ code }) => code === 'unbalanced-run')!.values[1]!.value;
    };
    expect(under(0) - under(-10)).toBeCloseTo(10, 1);
  });
});

describe('what a run picks up', () => {
  const run = (length: number, balanced: boolean): Run => ({
    first: 0,
    last: 0,
    metres: metres(length),
    balanced,
  });

  it('grows with its length: twice as long, 6 dB', () => {
    expect(pickedUp(run(12, false), 'stage') - pickedUp(run(6, false), 'stage')).toBeCloseTo(6.02, 2);
  });

  it('balanced, a thousandth of it is left; on a stage there is more than in a quiet room', () => {
    expect(pickedUp(run(12, false), 'stage') - pickedUp(run(12, true), 'stage')).toBeCloseTo(60, 6);
    expect(pickedUp(run(12, false), 'stage')).toBeGreaterThan(pickedUp(run(12, false), 'show'));
    expect(pickedUp(run(12, false), 'show')).toBeGreaterThan(pickedUp(run(12, false), 'quiet'));
  });

  it('as long as it may be, it is as far under the peaks as was asked', () => {
    for (const balanced of [true, false]) {
      const length = metresFor({ peak: dbV(-20), balanced }, 'stage', 60);
      expect(-20 - pickedUp(run(length, balanced), 'stage')).toBeCloseTo(60, 6);
    }
  });
});
