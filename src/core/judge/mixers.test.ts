import { describe, expect, it } from 'vitest';
import type { SettingValue } from '../rig';
import { judge } from '../../../testing/judge';
import type { RigSketch } from '../../../testing/lay-rig';

type Knobs = Record<string, SettingValue>;

/** A microphone in a mixer, and its main outputs in a rack recorder. */
const toRecorder = (mixer: string, knobs: Knobs = {}): RigSketch => ({
  parts: {
    mic: 'dynamic-xlr',
    mixer,
    left: 'lead-jack-trs',
    right: 'lead-jack-trs',
    recorder: 'recorder-line',
  },
  joints: [
    'mic.out mixer.mic-1',
    'left.a mixer.main-left',
    'left.b recorder.line-left',
    'right.a mixer.main-right',
    'right.b recorder.line-right',
  ],
  settings: { mixer: { 'gain-1': 56, ...knobs } },
});
const peak = (sketch: RigSketch, recorder = 0) => judge(sketch).arrives[recorder]?.peak ?? NaN;

describe('a channel of a mixer', () => {
  it('adds its gain and its fader in dB', () => {
    const base = peak(toRecorder('mixer-monitor-fx'));
    expect(peak(toRecorder('mixer-monitor-fx', { 'gain-1': 50 })) - base).toBeCloseTo(-6, 6);
    expect(peak(toRecorder('mixer-monitor-fx', { 'fader-mic-1': -10 })) - base).toBeCloseTo(-10, 6);
  });
  it('reaches both sides alike, 3 dB down by the pan law', () => {
    expect(judge(toRecorder('mixer-monitor-fx'))).toMatchObject({ verdict: 'clean', state: 'recorded' });
    expect(judge(toRecorder('mixer-monitor-fx')).arrives[0]?.channels).toBe('both');
  });
  it('a balanced run keeps the whole voltage: hot against cold', () => {
    const [, input, output, received] = judge(toRecorder('mixer-monitor-fx')).chains[0]?.stages ?? [];
    // Half on each leg, both legs again at the balanced input, 75 Ω a leg into 10 kΩ: −0.1 dB.
    expect((output?.level ?? 0) - (input?.level ?? 0)).toBeCloseTo(56 - 3 - 6.02, 2);
    expect((received?.level ?? 0) - (output?.level ?? 0)).toBeCloseTo(6.02 - 0.13, 1);
  });
  it('panned hard over, it is on one side alone, 3 dB louder than in the middle', () => {
    const middle = peak(toRecorder('mixer-monitor-fx'));
    for (const side of ['left', 'right'] as const) {
      const found = judge(toRecorder('mixer-monitor-fx', { 'pan-mic-1': side }));
      expect(found.arrives[0]?.channels).toBe(side);
      expect(found.codes).toEqual(['one-side-only']);
      expect((found.arrives[0]?.peak ?? 0) - middle).toBeCloseTo(3, 6);
    }
  });
  it('without mains nothing comes out', () => {
    expect(judge(toRecorder('mixer-monitor-fx', { mains: 'off' })).codes).toContain('part-unpowered');
  });
});

describe('sends', () => {
  const sent = (send: string, knobs: Knobs): RigSketch => ({
    parts: {
      mic: 'dynamic-xlr',
      mixer: 'mixer-monitor-fx',
      lead: 'lead-line-headset-pad',
      phone: 'phone-ctia',
    },
    joints: ['mic.out mixer.mic-1', `lead.big mixer.${send}`, 'lead.trrs phone.jack'],
    settings: { mixer: { 'gain-1': 56, [`${send}-mic-1`]: 0, ...knobs } },
  });
  it.each([
    ['mon', 'pre-fader', 0],
    ['fx', 'post-fader', -12],
  ])('%s is %s', (send, _, change) => {
    const down = peak(sent(send, { 'fader-mic-1': -12 }));
    expect(down - peak(sent(send, {}))).toBeCloseTo(change, 4);
  });
  it('a send is taken ahead of the pan', () => {
    expect(peak(sent('fx', { 'pan-mic-1': 'right' }))).toBeCloseTo(peak(sent('fx', {})), 6);
  });
  it('a send at its lowest leaves the phone with its noise', () => {
    expect(judge(sent('mon', { 'mon-mic-1': -60 })).state).toBe('listed-silent');
  });
});

describe('USB of a mixer', () => {
  const overUsb = (app: string, knobs: Knobs = {}): RigSketch => ({
    parts: { mic: 'dynamic-xlr', mixer: 'mixer-fx-usb', lead: 'lead-usb-c-b', phone: 'phone-usb-c' },
    joints: ['mic.out mixer.mic-1', 'lead.b mixer.usb', 'lead.a phone.port'],
    settings: { mixer: { 'gain-1': 60, ...knobs } },
    apps: { phone: app },
  });
  it('records the main mix, and what the phone plays does not come back to it', () => {
    const found = judge(overUsb('live-stream'));
    expect(found).toMatchObject({ verdict: 'clean', state: 'recorded' });
    expect(found.codes).not.toContain('playback-returns');
  });
  it('is all the same whatever the headphones’ knob does', () => {
    expect(peak(overUsb('recorder-app', { phones: -40 }))).toBeCloseTo(peak(overUsb('recorder-app')), 9);
  });
});

describe('a portable mixer with a phone socket', () => {
  const callIn = (knobs: Knobs = {}): RigSketch => ({
    parts: {
      mic: 'dynamic-xlr',
      mixer: 'mixer-portable-phone',
      lead: 'lead-trrs-trrs',
      phone: 'phone-ctia',
      ears: 'headphones-big',
    },
    joints: ['mic.out mixer.mic-1', 'lead.a mixer.phone', 'lead.b phone.jack', 'ears.plug mixer.phones'],
    settings: { mixer: { 'gain-1': 56, ...knobs } },
    apps: { phone: 'voice-room' },
    recorder: 'phone',
  });
  it('makes the mix-minus by itself: the caller gets the microphone and not himself', () => {
    const found = judge(callIn());
    expect(found).toMatchObject({ verdict: 'clean', state: 'recorded' });
    expect(found.listeners[0]).toMatchObject({ hears: [{ device: 'phone', sides: 'both' }] });
  });
  it('with its sunk switch at microphone the caller is silent in the headphones', () => {
    const found = judge(callIn({ 'phone-switch': 'off' }));
    expect(found.listeners[0]?.hears).toEqual([]);
    expect(found.codes).toContain('guests-not-heard');
  });
});
