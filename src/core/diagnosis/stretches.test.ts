import { describe, expect, it } from 'vitest';
import { layRig, type RigSketch } from '../../../testing/lay-rig';
import { outcomeOf } from '../judge';
import type { AskedStretch, StretchReading, StretchState } from '../signal/reading';
import { sayHeld } from '../words/say-stretch';
import { readFileSync } from 'node:fs';
import { measured } from '../../../testing/takes/study';
import { readRig } from '../files/read-rig';
import { allFacts } from '../engine';
import { guidedStandIn } from '../signal/render/stand-in';
import { readStretches } from '../signal/reading';
import { guideFor } from '../words/guide';
import { heldAgainst, predict, sideAt } from '.';

const spoke: AskedStretch = { is: 'usual', part: 'receiver', from: 0, to: 5 };
const tap: AskedStretch = { is: 'tap', part: 'receiver', from: 5, to: 8 };

const reading = (state: StretchState, side: 'left' | 'right' | 'both'): StretchReading => ({
  state,
  level: { meanDbfs: -30, mostDbfs: -24, quietDbfs: -60, peakDbfs: -15, side },
});

const into = (receiver: string, lead: string, camera = 'camera-trs'): RigSketch => ({
  parts: { receiver, lead, camera },
  joints: ['receiver.out lead.a', 'lead.b camera.mic'],
});
const predicted = (sketch: RigSketch) => outcomeOf(layRig(sketch)).arrives;

// Common practice: a receiver whose ring is not connected gives the left side alone.
describe('a stretch of a guided take beside what the rig predicts', () => {
  it('a tip-only receiver that came on the left: as predicted; on both sides: not', () => {
    const arrivals = predicted(into('receiver-tip-only', 'lead-trs-trs'));
    expect(heldAgainst(spoke, reading('came', 'left'), arrivals, 2)).toMatchObject({
      predicted: 'left',
      agrees: true,
    });
    expect(heldAgainst(spoke, reading('came', 'both'), arrivals, 2)?.agrees).toBe(false);
  });

  it('a receiver on both sides of which one is missing: not as predicted, with the peaks beside', () => {
    const arrivals = predicted(into('receiver-trs', 'lead-trs-trs'));
    const held = heldAgainst(spoke, reading('came', 'left'), arrivals, 2)!;
    expect(held).toMatchObject({ predicted: 'both', agrees: false, peak: arrivals[0]!.peak });
    expect(sayHeld(held)).toMatch(/^Not as the rig predicts: on both sides, peaks −\d+ dBFS$/);
  });

  it('a take with one channel tells no sides', () => {
    const arrivals = predicted(into('receiver-tip-only', 'lead-trs-trs'));
    expect(heldAgainst(spoke, reading('came', 'both'), arrivals, 1)?.agrees).toBe(true);
  });

  it('nothing came where the rig records it', () => {
    const arrivals = predicted(into('receiver-trs', 'lead-trs-trs'));
    expect(heldAgainst(spoke, reading('missing', 'both'), arrivals, 2)?.agrees).toBe(false);
    expect(heldAgainst(tap, reading('elsewhere', 'both'), arrivals, 2)?.agrees).toBe(false);
  });

  it('where the camera takes its own microphone a voice comes all the same, and faint taps are as predicted', () => {
    const sketch: RigSketch = {
      ...into('receiver-trs', 'lead-trs-trs'),
      joints: ['receiver.out lead.a', 'lead.b camera.phones'],
    };
    const arrivals = predicted(sketch);
    expect(arrivals[0]?.state).toBe('wrong-mic');
    expect(heldAgainst(spoke, reading('came', 'both'), arrivals, 2)?.agrees).toBe(true);
    expect(heldAgainst(tap, reading('elsewhere', 'both'), arrivals, 2)?.agrees).toBe(true);
    expect(heldAgainst(tap, reading('tapped', 'both'), arrivals, 2)?.agrees).toBe(false);
  });

  it('says nothing of what the rig does not have', () => {
    const arrivals = predicted(into('receiver-trs', 'lead-trs-trs'));
    expect(
      heldAgainst({ is: 'silence', from: 0, to: 3 }, reading('still', 'both'), arrivals, 2),
    ).toBeUndefined();
    expect(heldAgainst({ ...spoke, part: 'mic' }, reading('came', 'both'), arrivals, 2)).toBeUndefined();
  });

  it('the stand-in of two packs on a side each comes, stretch by stretch, where the rig predicts it', () => {
    const read = readRig(readFileSync('demo/rigs/two-at-the-bench.json', 'utf8'));
    if (!read.ok) throw new Error('no rig');
    const { rig } = read;
    const [facts] = allFacts(rig);
    const recorder = rig.purpose.recorders[0]!;
    const steps = guideFor(rig);
    const sided = steps.map((step) => ({ ...step, ...sideAt(facts.arrivals, recorder, step.part) }));
    expect(new Set(sided.flatMap(({ side }) => side ?? []))).toEqual(new Set(['left', 'right']));
    const plan = { ...predict(facts, recorder), hertz: 50 as const };
    const { sides, sampleRate } = guidedStandIn(plan, sided, false, 3);
    const measures = measured(sides, sampleRate);
    let from = 0;
    const asked = steps.map((step): AskedStretch => {
      const stretch = { ...step, from, to: from + step.seconds };
      from += step.seconds;
      return stretch;
    });
    const held = readStretches(measures, asked).map((one, n) =>
      heldAgainst(asked[n]!, one, facts.arrivals, 2),
    );
    expect(held.filter((one) => one !== undefined)).toHaveLength(6);
    expect(held.filter((one) => one?.agrees === false)).toEqual([]);
  });
});
