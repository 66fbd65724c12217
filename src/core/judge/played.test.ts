import { describe, expect, it } from 'vitest';
import { judge } from '../../../testing/judge';
import type { RigSketch } from '../../../testing/lay-rig';
import { CATALOGUE } from '../parts';

/** What phones and computers play, over transformers and by their volume (common practice). */
const throughDi = (di: string, settings: RigSketch['settings'] = {}): RigSketch => ({
  parts: {
    phone: 'phone-ctia',
    lead: 'lead-breakout-jacks',
    di,
    xlr: 'lead-xlr',
    mixer: 'mixer-fx-usb',
    usb: 'lead-usb-a-b',
    laptop: 'laptop-combo',
  },
  joints: [
    'phone.jack lead.small',
    'lead.left di.in',
    'di.out xlr.holes',
    'xlr.pins mixer.mic-1',
    'mixer.usb usb.b',
    'usb.a laptop.usb-a',
  ],
  settings,
});

const throughIsolator = (socket: string, volume: number): RigSketch => ({
  parts: { phone: 'phone-ctia', lead: 'lead-trs-trs', isolator: 'isolator-trs', camera: 'camera-trs' },
  joints: ['phone.jack lead.a', 'lead.b isolator.in', `isolator.out camera.${socket}`],
  settings: { phone: { volume } },
});

describe('what a phone plays goes through a transformer', () => {
  it('a passive DI box into a microphone input is the way in, and no plug in a wrong socket', () => {
    expect(judge(throughDi('di-passive'))).toMatchObject({
      verdict: 'clean',
      state: 'recorded',
      codes: ['hot'],
    });
  });
  it('an active one with phantom as well', () => {
    const found = judge(throughDi('di-active', { phone: { volume: -20 }, mixer: { phantom: 'on' } }));
    expect(found).toMatchObject({ verdict: 'clean', state: 'recorded' });
  });
  it('a line isolator into a camera is clean with the volume down, and clips at full volume', () => {
    expect(judge(throughIsolator('mic', -36))).toMatchObject({ verdict: 'clean', codes: [] });
    expect(judge(throughIsolator('mic', 0))).toMatchObject({ verdict: 'faulty', codes: ['clips'] });
  });
  it('into the camera’s headphone socket it is in the wrong one of two, isolator or not', () => {
    expect(judge(throughIsolator('phones', -36)).codes).toContain('wrong-socket');
  });
});

describe('the volume of what plays', () => {
  const intoCamera = (parts: RigSketch['parts'], joints: readonly string[], holder: string, volume: number) =>
    judge({
      parts: { ...parts, lead: 'lead-trs-trs', camera: 'camera-trs' },
      joints: [...joints, 'lead.b camera.mic'],
      settings: { [holder]: { volume } },
    }).arrives[0]?.peak ?? NaN;
  it.each([
    ['a USB-C phone by its dongle', { phone: 'phone-usb-c', dongle: 'dongle-usb-c-headset' }, 'dongle'],
    ['an 8-pin tablet by its dongle', { phone: 'tablet-8-pin', dongle: 'dongle-8-pin-headset' }, 'dongle'],
  ] as const)('%s: so many dB down, so many dB lower', (_, parts, holder) => {
    const at = (volume: number) =>
      intoCamera(parts, ['phone.port dongle.plug', 'dongle.jack lead.a'], holder, volume);
    expect(at(0) - at(-30)).toBeCloseTo(30, 6);
  });
  it('a laptop by its jack', () => {
    const at = (volume: number) =>
      intoCamera({ laptop: 'laptop-combo' }, ['laptop.jack lead.a'], 'laptop', volume);
    expect(at(0) - at(-30)).toBeCloseTo(30, 6);
  });
  it('every part of the catalogue that plays lets it be turned down', () => {
    const plays = CATALOGUE.filter(
      ({ bus, circuit }) => bus?.plays || circuit.some((e) => e.kind === 'signal' && e.hears === 'playback'),
    );
    expect(plays.length).toBeGreaterThan(10);
    const knobs = plays.map(({ id, settings = [] }) => [id, settings.some(({ kind }) => kind === 'knob')]);
    expect(knobs.filter(([, has]) => !has)).toEqual([]);
  });
});
