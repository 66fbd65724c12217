import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { FindingCode } from '../checks';
import { fixesFor } from '../search/fixes';
import { analyse } from '.';
import { applyEdit, type Rig } from '../rig';
import { readRig } from '../files/read-rig';
import { sayOutcome } from '../words';

const demo = (id: string): Rig => {
  const result = readRig(readFileSync(`demo/rigs/${id}.json`, 'utf8'));
  if (!result.ok) throw new Error(`${id} is no rig`);
  return result.rig;
};

/** The rigs of Ropewalk Yard with the fault that each opens with. */
const FIRST_FAULT: readonly (readonly [string, FindingCode])[] = [
  ['slipway-diary', 'mic-line-shorted'],
  ['two-at-the-bench', 'one-side-only'],
  ['sail-loft-talk', 'starved'],
  ['launch-day-stream', 'hums'],
  ['harbour-call-in', 'playback-returns'],
  ['loft-songs', 'track-not-armed'],
  ['quay-to-camera', 'wrong-socket'],
];

describe.each(FIRST_FAULT)('%s', (id, code) => {
  it(`opens with ${code}, and has no danger in it`, () => {
    const { findings, verdict } = analyse(demo(id));
    expect(findings[0]?.code).toBe(code);
    expect(verdict).not.toBe('unsafe');
  });

  it('is cured by the fixes that it shows, one after the other', () => {
    let rig = demo(id);
    for (let steps = 0; steps < 4; steps += 1) {
      const [worst] = analyse(rig).findings.filter((f) => f.severity !== 'note');
      if (!worst) break;
      const [fix] = fixesFor(rig, worst, {});
      if (!fix) throw new Error(`${id}: nothing offered against ${worst.code}`);
      rig = applyEdit(rig, fix.edit);
    }
    expect(analyse(rig).verdict).toBe('clean');
    expect(analyse(rig).arrives.every((a) => a.state === 'recorded')).toBe(true);
  });
});

describe('Harbour call-in', () => {
  const rig = demo('harbour-call-in');
  // What a practitioner does: the caller’s channel out of his own send, each caller into the other’s.
  const sends = [
    ['mon-pair-1', -60],
    ['fx-pair-1', 0],
    ['mon-pair-2', 0],
  ] as const;
  const cured = sends.reduce(
    (at, [setting, option]) => applyEdit(at, { kind: 'set', part: 'mixer', setting, option }),
    rig,
  );

  it('says of a fix that mends only one way of a mutual deafness that it does', () => {
    const deaf = analyse(rig).findings.find(({ mutual }) => mutual === true)!;
    const said = ['mon-pair-2', 'fx-pair-1'].map((setting) => {
      const fixed = applyEdit(rig, { kind: 'set', part: 'mixer', setting, option: 0 });
      return sayOutcome(fixed, analyse(fixed), deaf);
    });
    expect(said[0]).toMatch(/^One way only: Caller A then hears Caller B\. /i);
    expect(said[1]).toMatch(/^One way only: Caller B then hears Caller A\. /i);
    expect(sayOutcome(cured, analyse(cured), deaf)).not.toMatch(/One way only/);
  });
  it('with the sends of a mix-minus both callers hear one another and the presenter', () => {
    // One of the two sends of this mixer comes after the faders, the phones play by their jacks, and a recorder hears all: that is worth a word.
    expect(analyse(cured).findings.map((f) => [f.code, f.recorder])).toEqual([
      ['send-follows-fader', 'phone-b'],
      ['volume-sets-level', 'phone-a'],
      ['volume-sets-level', 'phone-b'],
      ['records-callers', 'recorder'],
    ]);
    expect(analyse(cured).verdict).toBe('clean');
    const states = analyse(cured).arrives.map((a) => `${a.recorder} ${a.state}`);
    expect(states).toEqual(['recorder recorded', 'phone-a recorded', 'phone-b recorded']);
  });
  it('the post-fader send follows the fader, the pre-fader one does not', () => {
    const down = applyEdit(cured, { kind: 'set', part: 'mixer', setting: 'fader-mic-1', option: -20 });
    const peak = (r: Rig, recorder: string) =>
      analyse(r).arrives.find((a) => a.recorder === recorder)?.peak ?? NaN;
    expect(peak(cured, 'phone-a') - peak(down, 'phone-a')).toBeCloseTo(0, 3);
    expect(peak(cured, 'phone-b') - peak(down, 'phone-b')).toBeCloseTo(20, 3);
  });
});
