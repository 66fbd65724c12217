import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { measured, stored } from '../../../testing/takes/study';
import { layRig } from '../../../testing/lay-rig';
import { allFacts } from '../engine';
import { readRig } from '../files/read-rig';
import { applyEdit, type Rig } from '../rig';
import { standIn } from '../signal/render/stand-in';
import { distanceOf, explain, featuresOf, predict, singleChanges } from '.';

const rigs = readdirSync('demo/rigs').map((name): Rig => {
  const read = readRig(readFileSync(`demo/rigs/${name}`, 'utf8'));
  if (!read.ok) throw new Error(name);
  return read.rig;
});

/** A take of what a rig would deliver, as 16 bits keep it, read back to features. */
const takeOf = (rig: Rig, recorder: string, seed: number) => {
  const features = predict(allFacts(rig)[0], recorder);
  return featuresOf(measured(stored(standIn({ ...features, hertz: 50 }, seed).sides)));
};

describe('a take is read back to its cause', () => {
  it(
    'first or second in the list in 95 % of all single changes that a take can show, on every demo rig',
    { timeout: 300_000 },
    () => {
      const missed: string[] = [];
      let cases = 0;
      for (const rig of rigs) {
        for (const recorder of rig.purpose.recorders) {
          const base = predict(allFacts(rig)[0], recorder);
          const seen = [base];
          for (const edit of singleChanges(rig)) {
            const changed = applyEdit(rig, edit);
            const predicted = predict(allFacts(changed)[0], recorder);
            // What no take can show, or what one take shows of several, is no case of its own.
            if (seen.some((one) => distanceOf(one, predicted) < 1.5)) continue;
            seen.push(predicted);
            cases += 1;
            const { explanations } = explain(rig, recorder, takeOf(changed, recorder, cases));
            const rank = explanations.findIndex(({ edits }) =>
              edits.some((e) => JSON.stringify(e) === JSON.stringify(edit)),
            );
            if (rank < 0 || rank > 1) missed.push(`${rig.id} ${recorder} ${JSON.stringify(edit)}`);
          }
        }
      }
      expect(cases).toBeGreaterThan(40);
      expect(missed.length / cases, missed.join('\n')).toBeLessThanOrEqual(0.05);
    },
  );
  it('the rig as it is laid out explains its own take', { timeout: 120_000 }, () => {
    for (const rig of rigs) {
      for (const recorder of rig.purpose.recorders) {
        const [first] = explain(rig, recorder, takeOf(rig, recorder, 99)).explanations;
        expect([rig.id, recorder, first?.edits]).toEqual([rig.id, recorder, []]);
      }
    }
  });
});

describe('what the engine predicts of a take', () => {
  const two = layRig({
    parts: { mic: 'dynamic-xlr', interface: 'interface-one-input', phone: 'phone-usb-c' },
    joints: ['mic.out interface.mic', 'interface.usb phone.port'],
    settings: { interface: { gain: 46 } },
    apps: { phone: 'recorder-app' },
  });
  it('is the level of the arrival, RMS of a full-scale sine −3.01 dBFS', () => {
    const facts = allFacts(two)[0];
    const [arrival] = facts.arrivals;
    // Speech has a crest of 12 dB over a sine’s 3.01 (typical).
    expect(predict(facts, 'phone').active).toBeCloseTo((arrival?.peak ?? NaN) - 12, 6);
  });
  it('an unplugged microphone gives nothing, and the sound that is left is not called its own', () => {
    const joint = two.joints.find(({ plug, jack }) => [plug.part, jack.part].includes('mic'));
    const pulled = applyEdit(two, { kind: 'unplug', joint: joint?.id ?? '' });
    expect(predict(allFacts(pulled)[0], 'phone').image).toBe('silent');
  });
});
