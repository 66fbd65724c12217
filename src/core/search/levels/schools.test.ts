import { describe, expect, it } from 'vitest';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { outcomeOf } from '../../judge';
import { findPart, type Part } from '../../parts';
import type { Rig } from '../../rig';
import { levelWays, planGains, presetPlans } from '.';

const CAMERA: RigSketch = {
  parts: { receiver: 'receiver-trs', lead: 'lead-trs-trs', camera: 'camera-trs' },
  joints: ['receiver.out lead.a', 'lead.b camera.mic'],
  distances: { receiver: 0.4 },
};

describe('schools of setting levels', () => {
  it('on a noisy camera input a hot source and a low camera are clearer of the noise than a quiet receiver', () => {
    const plans = presetPlans(layRig(CAMERA));
    const over = (id: string) => {
      const [arrival] = plans.find(({ preset }) => preset === id)!.plan.outcome.arrives;
      return arrival!.peak - arrival!.noise;
    };
    expect(over('hot-source')).toBeGreaterThan(over('quiet-source') + 0.5);
    expect(over('usual')).toBeGreaterThanOrEqual(over('hot-source') - 0.01);
  });

  it('each is as it says: the recorder low, or the source low', () => {
    const plans = presetPlans(layRig(CAMERA));
    const at = (id: string, part: string) => {
      const { rig } = plans.find(({ preset }) => preset === id)!.plan;
      return rig.parts.find((one) => one.id === part)!.settings;
    };
    // Its lowest place is the one that it is delivered with.
    expect(at('quiet-source', 'receiver')).toBeUndefined();
    expect(at('quiet-source', 'camera')).toEqual({ gain: 13 });
    expect(at('hot-source', 'receiver')).toEqual({ output: 'high' });
    expect(at('hot-source', 'camera')).toEqual({ gain: 1 });
  });
});

describe('what no setting can do', () => {
  it('a weak dynamic far from a mobile preamplifier gets a booster, and the mouth closer', () => {
    const rig = layRig({
      parts: { mic: 'dynamic-xlr', xlr: 'lead-xlr', preamp: 'mobile-preamp', phone: 'phone-ctia' },
      joints: ['mic.out xlr.holes', 'xlr.pins preamp.mic', 'preamp.plug phone.jack'],
      distances: { mic: 1.5 },
    });
    const { adds } = planGains(rig);
    expect(adds.map(({ is }) => is)).toEqual(['booster', 'closer']);
    expect(adds[0]).toMatchObject({ at: 'preamp' });
  });

  /** Programme whose peaks are those of a tone of +4 dBu, out of 100 Ω, by a lead with so many ohms in series ahead of the contact. */
  function line(series: number): Rig {
    const [keyboard, padded] = [findPart('keyboard')!, findPart('lead-line-headset-pad')!];
    const desk: Part = {
      ...keyboard,
      id: 'line-plus-4',
      // +4 dBu = +1.78 dBV; a tone's peak lies 3.01 dB over its RMS, a programme's 14 dB (typical).
      circuit: keyboard.circuit.map((e) =>
        e.kind === 'signal'
          ? { ...e, sensitivity: 1.78 + 3.01 - 14 }
          : e.kind === 'resistor'
            ? { ...e, ohms: 100 }
            : e,
      ) as Part['circuit'],
    };
    // Bare it would be no microphone to the phone: the blocking capacitor and 1.8 kΩ stay.
    const lead: Part = {
      ...padded,
      id: 'lead-blocked',
      circuit: padded.circuit.map((e) =>
        e.kind === 'resistor' && e.ohms === 100_000 ? { ...e, ohms: series } : e,
      ) as Part['circuit'],
    };
    const laid = layRig({
      parts: { desk: 'keyboard', lead: 'lead-line-headset-pad', phone: 'phone-ctia' },
      joints: ['desk.left lead.big', 'lead.trrs phone.jack'],
    });
    const own: Readonly<Record<string, string>> = { desk: desk.id, lead: lead.id };
    return {
      ...laid,
      ownParts: [desk, lead],
      parts: laid.parts.map((one) => ({ ...one, part: own[one.id] ?? one.part })),
    };
  }

  it('+4 dBu into a headset microphone contact clips there by about 28 dB, and wants a pad of about 40', () => {
    const rig = line(1);
    const [way] = levelWays(rig);
    // −26.7 dBV: the full-scale sine of a headset input by the Android Compatibility Definition (audio recording).
    expect(way!.first).toMatchObject({ placed: 'phone', is: 'converter' });
    expect(-way!.first!.room).toBeGreaterThan(26);
    expect(-way!.first!.room).toBeLessThan(30);
    const [pad] = planGains(rig).adds;
    expect(pad).toMatchObject({ is: 'pad', at: 'phone', why: 'over' });
    expect(pad!.decibels).toBeGreaterThan(37);
    expect(pad!.decibels).toBeLessThan(43);
  });

  it('with that pad it is clean, and nothing more is asked for', () => {
    const rig = line(100_000);
    expect(outcomeOf(rig).verdict).toBe('clean');
    expect(planGains(rig).adds).toEqual([]);
  });
});
