import { describe, expect, it } from 'vitest';
import { layRig } from '../../../../testing/lay-rig';
import { outcomeOf } from '../../judge';
import { settingOf, laidParts } from '../../rig';
import { isBetter } from '../settings';
import { planGains, USUAL_AIM } from '.';

describe('an app that sums its sides', () => {
  const rig = layRig({
    parts: {
      a: 'dynamic-xlr',
      b: 'dynamic-xlr',
      la: 'lead-xlr',
      lb: 'lead-xlr',
      i: 'interface-two-inputs',
      u: 'lead-usb-c-c',
      h: 'phone-usb-c',
    },
    joints: [
      'a.out la.holes',
      'la.pins i.mic-1',
      'b.out lb.holes',
      'lb.pins i.mic-2',
      'i.usb u.a',
      'u.b h.port',
    ],
    others: ['b'],
    apps: { h: 'live-stream' },
  });

  it('has the gain of either microphone turned, each on an input of its own', () => {
    const { rig: planned, outcome } = planGains(rig);
    const laid = laidParts(planned).find(({ placed }) => placed.id === 'i')!;
    const gains = ['gain-1', 'gain-2'].map((knob) => Number(settingOf(laid, knob)));
    expect(gains[0]).toBeGreaterThan(30);
    expect(gains[1]).toBeCloseTo(gains[0]!, 6);
    const [one, other] = outcome.arrives;
    expect(one?.peak).toBeCloseTo(other?.peak ?? 0, 6);
    expect(one!.peak).toBeGreaterThan(outcomeOf(rig).arrives[0]!.peak + 20);
  });

  it('louder is better while it stands well clear of the noise, though a little less so', () => {
    const { outcome } = planGains(rig);
    expect(isBetter(outcome, outcomeOf(rig))).toBe(true);
    expect(isBetter(outcomeOf(rig), outcome)).toBe(false);
  });
});

describe('what two chains share has more places than are weighed', () => {
  it('the coarse ones and those around the best come within 1 dB of weighing ten times as many', () => {
    const rig = layRig({
      parts: {
        one: 'dynamic-xlr',
        other: 'dynamic-xlr',
        a: 'lead-xlr',
        b: 'lead-xlr',
        desk: 'mixer-rca-only',
        lead: 'lead-headphones-aux',
        camera: 'camera-trs',
      },
      joints: [
        'a.holes one.out',
        'a.pins desk.mic-1',
        'b.holes other.out',
        'b.pins desk.mic-2',
        'lead.big desk.phones',
        'lead.small camera.mic',
      ],
      others: ['other'],
    });
    const [many, few] = [planGains(rig), planGains(rig, USUAL_AIM, 1000)];
    expect([many.exact, few.exact]).toEqual([true, false]);
    expect(few.outcome.verdict).toBe(many.outcome.verdict);
    const peaks = few.outcome.arrives.map(({ peak }) => peak);
    expect(peaks).toHaveLength(2);
    for (const [n, { peak }] of many.outcome.arrives.entries())
      expect(Math.abs((peaks[n] ?? 0) - peak)).toBeLessThan(1);
  });
});
