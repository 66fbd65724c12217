import { describe, expect, it } from 'vitest';
import { analyse } from '../../judge';
import { laidParts, type Rig } from '../../rig';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { APPS, EVIDENCE_KINDS, WAYS } from '../../apps';
import { dbFs } from '../../units';
import { VOICE_LEVEL, arrivalOf as flowArrival, mouthDistance, voiceAt } from '.';

const patched: RigSketch = {
  parts: { receiver: 'receiver-trs', lead: 'patch-trs-trrs', phone: 'phone-ctia' },
  joints: ['receiver.out lead.trs', 'lead.trrs phone.jack'],
};
const at = (rig: Rig, distances: Record<string, number>): Rig => ({
  ...rig,
  surroundings: { ...rig.surroundings, distances },
});
const arrivalOf = (rig: Rig) => {
  const [arrival] = analyse(rig).arrives;
  if (!arrival) throw new Error('nothing arrives');
  return arrival;
};

describe('the voice', () => {
  it('speaks at the levels of ANSI S3.5-1997 at 1 m (from memory)', () => {
    expect(VOICE_LEVEL).toEqual({ normal: 62.35, raised: 68.34, loud: 74.85, shout: 82.3 });
  });
  it('is 13.98 dB louder at 20 cm than at 1 m: 20·log10(5)', () => {
    const rig = at(layRig(patched), { receiver: 0.2 });
    expect(voiceAt(rig, 'receiver', false)).toBeCloseTo(62.35 + 13.9794, 3);
  });
  it('is taken at 20 cm from a worn microphone and 1.2 m from a device where the rig says nothing', () => {
    const rig = layRig(patched);
    expect(mouthDistance(rig, 'receiver', false)).toBe(0.2);
    expect(mouthDistance(rig, 'phone', true)).toBe(1.2);
  });
  it('at twice the distance arrives 6.02 dB lower, while the noise stays', () => {
    const [near, far] = [0.2, 0.4].map((metres) => arrivalOf(at(layRig(patched), { receiver: metres })));
    expect((near?.peak ?? NaN) - (far?.peak ?? NaN)).toBeCloseTo(6.0206, 4);
    expect(near?.noise).toBe(far?.noise);
  });
  it.each(['raised', 'loud', 'shout'] as const)(
    '%s: the recording rises by as much as the voice',
    (voice) => {
      const change = arrivalOf(layRig({ ...patched, voice })).peak - arrivalOf(layRig(patched)).peak;
      expect(change).toBeCloseTo(VOICE_LEVEL[voice] - VOICE_LEVEL.normal, 6);
    },
  );
});

describe('what counts as recorded', () => {
  it('speech peaks 10 dB over the noise: nearer it is, farther it is lost', () => {
    const rig = layRig(patched);
    const { peak, noise } = arrivalOf(at(rig, { receiver: 0.2 }));
    // The distance at which the peaks stand just 10 dB over the noise of the channel.
    const edge = 0.2 * 10 ** ((peak - noise - 10) / 20);
    expect(arrivalOf(at(rig, { receiver: edge * 0.99 })).state).toBe('recorded');
    const lost = analyse(at(rig, { receiver: edge * 1.01 }));
    expect(lost.arrives[0]?.state).toBe('listed-silent');
    expect(lost.findings.map((f) => f.code)).toEqual(['too-quiet']);
    const [finding] = lost.findings;
    expect(finding?.limit?.value).toBeCloseTo((finding?.values[1]?.value ?? NaN) + 10, 9);
  });
  it('headroom is the distance of the peaks to full scale', () => {
    const arrival = arrivalOf(layRig(patched));
    expect(arrival.headroom).toBeCloseTo(-arrival.peak, 12);
  });
});

describe('recorders and sources', () => {
  it('every source is judged at every recorder', () => {
    const rig = layRig({
      parts: { ...patched.parts, other: 'receiver-trs', cable: 'lead-trs-trs', camera: 'camera-trs' },
      joints: [...patched.joints, 'other.out cable.a', 'cable.b camera.mic'],
    });
    const both = { ...rig, purpose: { sources: ['receiver', 'other'], recorders: ['phone', 'camera'] } };
    const states = analyse(both).arrives.map((a) => `${a.source}@${a.recorder} ${a.state}`);
    expect(states).toEqual([
      'receiver@phone recorded',
      'other@phone listed-silent',
      'receiver@camera listed-silent',
      'other@camera recorded',
    ]);
  });
  it('a camera with nothing in its jack records itself', () => {
    const rig = layRig({ parts: { receiver: 'receiver-trs', camera: 'camera-trs' }, joints: [] });
    expect(arrivalOf(rig)).toMatchObject({ app: 'camera', state: 'wrong-mic', records: 'own-microphone' });
  });
  it('a phone with an empty headset jack keeps its own microphone though the line is open', () => {
    const rig = layRig({ parts: { receiver: 'receiver-trs', phone: 'phone-ctia' }, joints: [] });
    const analysis = analyse(rig);
    expect(analysis.inputs[0]).toMatchObject({ plugged: false, sensed: { resistance: Infinity } });
    expect(analysis.arrives[0]?.records).toBe('own-microphone');
  });
});

describe('app classes', () => {
  it('each names its evidence and a date', () => {
    for (const app of APPS) {
      for (const way of WAYS) {
        const { evidence } = app.takes[way];
        expect(EVIDENCE_KINDS).toContain(evidence.kind);
        expect(evidence.date).toMatch(/^\d{4}-\d{2}-\d{2}$/);
      }
    }
  });
  it.each(APPS.map((app) => [app.id, app] as const))('%s takes a headset, as every class does', (id) => {
    const rig = layRig({ ...patched, apps: { phone: id } });
    expect(arrivalOf(rig)).toMatchObject({ app: id, state: 'recorded' });
  });
  it.each(APPS.map((app) => [app.id, app] as const))(
    '%s, nothing plugged: silently or openly, as its policy says',
    (id, app) => {
      const rig = layRig({ parts: patched.parts, joints: [], apps: { phone: id } });
      expect(arrivalOf(rig).state).toBe(app.fallsBack ? 'wrong-mic' : 'not-listed');
    },
  );
  it.each(APPS.map((app) => [app.id, app] as const))(
    '%s and a USB receiver: taken or left as its policy says',
    (id, app) => {
      const rig = layRig({
        parts: { receiver: 'receiver-usb', phone: 'phone-usb-c' },
        joints: ['receiver.usb phone.port'],
        apps: { phone: id },
      });
      const arrival = arrivalOf(rig);
      const { taken } = app.takes.usb;
      expect(arrival.state === 'recorded').toBe(taken);
      if (taken) expect(arrival.channels).toBe(app.channels === 'stereo' ? 'both' : 'mono');
    },
  );
});

describe('an app that sums its sides', () => {
  const rig = layRig({
    parts: { receiver: 'receiver-usb', phone: 'phone-usb-c' },
    joints: ['receiver.usb phone.port'],
    apps: { phone: 'video-call' },
  });
  const [input] = analyse(rig).inputs;
  const [left, right] = input?.channels ?? [];
  const host = laidParts(rig).find((laid) => laid.placed.id === 'phone');
  if (!input || !left || !right || !host) throw new Error('the receiver has two sides at a phone');
  const loud = { ...left, signals: left.signals.map((s) => ({ ...s, peak: dbFs(3) })) };

  it('halves what stands on one side, and does not hide that it clipped at the converter', () => {
    const oneSided = { ...input, channels: [loud, { ...right, signals: [] }] };
    const arrival = flowArrival(rig, host, [oneSided], 'receiver');
    expect(arrival.channels).toBe('mono');
    expect(arrival.peak).toBeCloseTo(3 - 6.0206, 3);
    expect(arrival.headroom).toBeCloseTo(-3, 9);
  });
  it('hears nothing of what stands on both sides with opposite polarity', () => {
    const turned = right.signals.map((s) => ({ ...s, gain: { re: -s.gain.re, im: -s.gain.im } }));
    const arrival = flowArrival(
      rig,
      host,
      [{ ...input, channels: [left, { ...right, signals: turned }] }],
      'receiver',
    );
    expect(arrival.state).toBe('listed-silent');
  });
});

describe('who hears what', () => {
  it('a headset on a phone hears it on both sides; TRS headphones in a headset jack too', () => {
    for (const ears of ['headset-ctia', 'headphones-trs']) {
      const rig = layRig({ parts: { ears, phone: 'phone-ctia' }, joints: ['ears.plug phone.jack'] });
      expect(analyse(rig).listeners).toMatchObject([
        { listener: 'ears', hears: [{ device: 'phone', sides: 'both' }] },
      ]);
    }
  });
  it('headphones in nothing hear nothing', () => {
    const rig = layRig({ parts: { ears: 'headphones-trs', phone: 'phone-ctia' }, joints: [] });
    expect(analyse(rig).listeners).toMatchObject([{ listener: 'ears', hears: [] }]);
  });
});
