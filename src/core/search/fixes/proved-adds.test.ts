import { describe, expect, it } from 'vitest';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { outcomeOf } from '../../judge';
import { applyEdit, type Rig } from '../../rig';
import { planGains, USUAL_AIM } from '../levels';
import { proveAdds, type ProvedAdd } from '.';

const adds = (rig: Rig, drawer = {}): readonly ProvedAdd[] => proveAdds(rig, USUAL_AIM, drawer).proved;
const partsIn = (found: readonly ProvedAdd[]) => found.map(({ cost }) => cost.part);
/** What is said is what the whole pipeline finds of the rig after it. */
const after = (rig: Rig, { edits, add }: ProvedAdd) =>
  outcomeOf(edits.reduce(applyEdit, rig)).arrives.find(
    (a) => a.source === add.source && a.recorder === add.recorder,
  );

/** A stereo keyboard into a camera that has a microphone input and nothing else. Common practice: a pad. */
const keyboard: RigSketch = {
  parts: { keys: 'keyboard', lead: 'lead-line-pair-stereo', camera: 'camera-trs-plain' },
  joints: ['lead.left keys.left', 'lead.right keys.right', 'lead.small camera.mic'],
};

/** A weak dynamic microphone into a mobile preamplifier. Common practice: an inline booster, or closer. */
const weak: RigSketch = {
  parts: {
    mic: 'dynamic-xlr',
    lead: 'lead-xlr',
    preamp: 'mobile-preamp',
    ears: 'headphones-trs',
    phone: 'phone-ctia',
  },
  joints: ['mic.out lead.holes', 'lead.pins preamp.mic', 'preamp.plug phone.jack', 'ears.plug preamp.phones'],
  // Farther off than a handheld one is meant for.
  distances: { mic: 0.7 },
};

describe('what no setting can do, proved by a part', () => {
  it('a line output into a camera’s microphone input: the pad, and it is enough', () => {
    const rig = layRig(keyboard);
    const [pad, ...more] = adds(rig);
    expect(more).toEqual([]);
    expect(pad).toMatchObject({ enough: true, cost: { part: 'pad-jack-40', owned: false, price: 18 } });
    expect(after(rig, pad!)?.peak).toBeCloseTo(pad!.peak, 6);
    expect(pad!.peak).toBeGreaterThan(-13.1);
    expect(pad!.peak).toBeLessThan(-10.9);
    expect(outcomeOf(pad!.edits.reduce(applyEdit, rig)).verdict).toBe('clean');
  });

  it('a weak microphone: the booster with its phantom, which is less than was wanted, and says so; or the mouth nearer', () => {
    const rig = layRig(weak);
    const found = adds(rig);
    expect(partsIn(found)).toEqual(['booster-inline', undefined]);
    const [booster] = found;
    expect(booster!.edits).toContainEqual(
      expect.objectContaining({ kind: 'set', part: 'preamp', option: 'on' }),
    );
    expect(booster!.enough).toBe(false);
    const before = planGains(rig).outcome.arrives.find(({ recorder }) => recorder === 'phone')!;
    // With 25 dB ahead of a noisy input: louder, and no less clear of the noise.
    expect(booster!.peak).toBeGreaterThan(before.peak + 6);
    for (const one of found) expect(after(rig, one)?.peak).toBeCloseTo(one.peak, 6);
  });

  it('takes what the drawer has', () => {
    const [pad] = adds(layRig(keyboard), { 'pad-jack-40': 1 });
    expect(pad?.cost).toMatchObject({ owned: true, price: 0 });
  });

  it('has nothing to say where settings do it', () => {
    const rig = layRig({
      parts: { receiver: 'receiver-trs', lead: 'lead-trs-trs', camera: 'camera-trs' },
      joints: ['receiver.out lead.a', 'lead.b camera.mic'],
    });
    expect(proveAdds(rig, USUAL_AIM, {})).toEqual({ proved: [], tried: 0, cut: false });
  });

  it('says when the time was over', () => {
    expect(proveAdds(layRig(weak), USUAL_AIM, {}, () => true)).toEqual({ proved: [], tried: 0, cut: true });
  });
});
