import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findingKey, type Finding } from '../checks';
import { fixesFor } from '../search/fixes';
import { checkReport } from '../files';
import { rungReading, sayBracket, sayReason, sayTitle, plain } from '../words';
import { applyEdit, type Rig } from '../rig';
import { checkRig } from '../files/read-rig';
import { anyChain } from '../../../testing/chains';
import { layRig } from '../../../testing/lay-rig';
import { VERDICTS, analyse, outcomeOf, verdictOf } from '.';
import { ladder } from '../views';

const SEED = 20261124;
const run = (runs: number, check: (rig: Rig) => void) =>
  fc.assert(
    fc.property(anyChain, (rig) => {
      check(rig);
    }),
    { seed: SEED, numRuns: runs },
  );

const saysSomething = (rig: Rig, finding: Finding) => {
  const reason = plain(sayReason(rig, finding));
  expect(reason, finding.code).toMatch(/[a-z].*\.$/);
  expect(reason, finding.code).not.toMatch(/undefined|NaN|null|\[object/);
  expect(sayTitle(rig, finding).length).toBeGreaterThan(3);
  expect(sayBracket(rig, finding).length).toBeGreaterThan(3);
};

describe(`any chain of catalogue parts (seed ${SEED})`, () => {
  it('is a rig that the file reader takes', () => {
    run(200, (rig) => expect(checkRig(rig).ok).toBe(true));
  });

  it('is one that records in more than a third of the runs: no empty test', () => {
    const rigs = fc.sample(anyChain, { seed: SEED, numRuns: 200 });
    const recording = rigs.filter((rig) => outcomeOf(rig).arrives.some((a) => a.state === 'recorded'));
    expect(recording.length).toBeGreaterThan(200 / 3);
  });

  it('gets a verdict that follows from its findings and arrivals', () => {
    run(200, (rig) => {
      const { verdict, findings, arrives } = analyse(rig);
      expect(VERDICTS).toContain(verdict);
      expect(verdict).toBe(verdictOf(findings, arrives));
      if (verdict === 'clean') expect(findings.filter((f) => f.severity !== 'note')).toEqual([]);
    });
  });

  it('never leaves a source that does not get through without a reason', () => {
    run(200, (rig) => {
      const { findings, arrives } = analyse(rig);
      const lost = arrives.some((a) => a.state !== 'recorded');
      if (lost) expect(findings.some((f) => f.severity === 'blocks')).toBe(true);
    });
  });

  it('has levels that are numbers, or nothing at all', () => {
    run(200, (rig) => {
      for (const { peak, noise, headroom } of analyse(rig).arrives) {
        for (const level of [peak, noise, headroom]) expect(Number.isNaN(level)).toBe(false);
        expect(noise).toBeGreaterThan(-200);
      }
    });
  });

  it('has a sentence, a title and a bracket for every finding, and a limit with a source', () => {
    run(200, (rig) => {
      for (const finding of analyse(rig).findings) {
        saysSomething(rig, finding);
        expect(finding.origin.text.length).toBeGreaterThan(10);
        if (finding.limit) expect(finding.values.length).toBeGreaterThan(0);
      }
    });
  });

  it('gives a report that survives JSON', () => {
    run(25, (rig) => {
      const report = checkReport(rig);
      expect(JSON.parse(JSON.stringify(report))).toEqual(report);
    });
  });

  it('is offered only fixes that the pipeline proves', () => {
    run(25, (rig) => {
      const before = outcomeOf(rig);
      for (const finding of before.findings.slice(0, 2)) {
        for (const fix of fixesFor(rig, finding, {})) {
          const edited = applyEdit(rig, fix.edit);
          const after = outcomeOf(edited);
          expect(checkRig(edited).ok).toBe(true);
          expect(after.findings.map(findingKey)).not.toContain(findingKey(finding));
          expect(VERDICTS.indexOf(after.verdict)).toBeLessThanOrEqual(VERDICTS.indexOf(before.verdict));
        }
      }
    });
  });

  it('has a rung for every part, each once, and the source first', () => {
    run(200, (rig) => {
      const rungs = ladder(rig).map((rung) => rung.placed);
      expect([...rungs].sort()).toEqual(rig.parts.map((p) => p.id).sort());
      expect(rungs[0]).toBe('p0');
    });
  });

  it('draws every joint with all contacts of its jack, and reads every rung without a hole', () => {
    run(100, (rig) => {
      const analysis = analyse(rig);
      expect(analysis.joints.map((j) => j.id).sort()).toEqual(rig.joints.map((j) => j.id).sort());
      for (const joint of analysis.joints) expect(joint.contacts).toHaveLength(joint.expects.length);
      for (const { id } of rig.parts) {
        const reading = rungReading(rig, analysis, id);
        expect(`${reading?.main ?? ''}${reading?.sub ?? ''}`).not.toMatch(/NaN|undefined/);
      }
    });
  });

  it('is the same to every analysis: no state is kept between them', () => {
    run(50, (rig) => expect(analyse(rig)).toEqual(analyse(rig)));
  });
});

describe('a straight-through lead', () => {
  it.each([0.2, 5, 50])('%s m long changes the level by its computed loss only', (length) => {
    const rig = layRig({
      parts: { receiver: 'receiver-trs', lead: 'lead-trs-trs', camera: 'camera-trs' },
      joints: ['receiver.out lead.a', 'lead.b camera.mic'],
    });
    const long = applyEdit(rig, { kind: 'length', part: 'lead', metres: length });
    const short = applyEdit(rig, { kind: 'length', part: 'lead', metres: 0.001 });
    const [a, b] = [analyse(long).arrives[0]?.peak ?? NaN, analyse(short).arrives[0]?.peak ?? NaN];
    // A conductor of 0.213 Ω/m in the hot leg and a shield of 0.035 in the return, shared by two sides, before 2.2 kΩ beside 10 kΩ.
    const load = 1 / (1 / 2200 + 1 / 10_000);
    const source = 1 / (1 / 470 + 1 / 4700);
    const loss = 20 * Math.log10((load + source) / (load + source + (0.213 + 2 * 0.035) * length));
    expect(a - b).toBeCloseTo(loss, 2);
  });
});

describe('the ladder', () => {
  const splitter = layRig({
    parts: {
      receiver: 'receiver-trs',
      lead: 'lead-trs-trs',
      splitter: 'splitter-trs',
      ears: 'headphones-trs',
      spare: 'lead-trs-trs',
      phone: 'phone-ctia',
    },
    joints: [
      'receiver.out lead.a',
      'lead.b splitter.mic',
      'ears.plug splitter.phones',
      'splitter.plug phone.jack',
    ],
  });
  it('follows the lead from source to recorder, branches indented, loose parts last', () => {
    expect(ladder(splitter).map((rung) => `${rung.depth} ${rung.placed}`)).toEqual([
      '0 receiver',
      '0 lead',
      '0 splitter',
      '1 ears',
      '0 phone',
      '0 spare',
    ]);
  });
  it('names the joint that leads to each rung', () => {
    const joints = ladder(splitter).map((rung) => rung.joint);
    expect(joints).toEqual([undefined, 'j1', 'j2', 'j3', 'j4', undefined]);
  });
  it('reads each part: level, sensed resistance, what is recorded', () => {
    const analysis = analyse(splitter);
    expect(rungReading(splitter, analysis, 'phone')).toMatchObject({ sub: 'recorded peaks' });
    expect(rungReading(splitter, analysis, 'lead')?.main).toMatch(/^−\d+\.\d dBV$/);
    expect(rungReading(splitter, analysis, 'spare')).toBeUndefined();
  });
});
