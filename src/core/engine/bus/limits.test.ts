import { LIT } from '../../../../testing/power-rigs';
import { describe, expect, it } from 'vitest';
import { analyse } from '../../judge';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { FULL_SPEED_BYTES, channelBytes } from '.';
import { mateJoints, readings } from '../mate';
import { netElements } from '../../../../testing/net-elements';
import { touchLinks, wiring } from '../circuit';
import { attachedDevices, livePowered } from './bus';

function onBus(sketch: RigSketch) {
  const rig = layRig(sketch);
  const matings = mateJoints(rig);
  const [reading] = readings(matings);
  const wires = wiring({
    elements: netElements(rig),
    touches: reading ? touchLinks(matings, reading) : [],
  });
  const devices = attachedDevices(rig, wires);
  return { devices, isLive: livePowered(rig, wires, devices) };
}

/** A low-draw microphone on an 8-pin phone, with something in the adapter's charging socket. */
const charged = (
  extra: Record<string, string>,
  joints: string[],
  settings: RigSketch['settings'] = {},
): RigSketch => ({
  parts: {
    mic: 'usb-mic-big',
    lead: 'lead-usb-a-b',
    adapter: 'adapter-8-pin-usb',
    ...extra,
    phone: 'phone-8-pin',
  },
  joints: ['lead.b mic.usb', 'lead.a adapter.usb', 'adapter.plug phone.port', ...joints],
  settings,
});

describe('isochronous bytes (USB 2.0, 5.6.3: 1,023 a full-speed frame)', () => {
  it('48 kHz at 24 bits is 144 bytes a channel, at 16 bits 96', () => {
    expect(channelBytes(48_000, 24)).toBe(144);
    expect(channelBytes(48_000, 16)).toBe(96);
    expect(channelBytes(44_100, 16)).toBe(90);
  });
  it.each([
    ['interface-one-input', 3],
    ['interface-small', 3],
    ['interface-eight-inputs', 10],
  ])('%s streams %s channels', (id, channels) => {
    const plug = id === 'interface-eight-inputs';
    const { devices } = onBus({
      parts: { it: id, ...(plug && { lead: 'lead-usb-c-b' }), phone: 'phone-usb-c' },
      joints: plug ? ['lead.b it.usb', 'lead.a phone.port'] : ['it.usb phone.port'],
    });
    expect(devices[0]?.bytes).toBe(channels * 144);
    expect((devices[0]?.bytes ?? 0) > FULL_SPEED_BYTES).toBe(plug);
  });
});

describe('chargers and power banks in a charging socket', () => {
  it('a bare adapter starves a hungry microphone', () => {
    expect(onBus(charged({}, [])).devices[0]).toMatchObject({
      offered: { least: 100, most: 200 },
      refusal: 'too-little-current',
    });
  });
  it.each([
    ['a charger with the plug that fits', { power: 'charger-8-pin' }, ['power.out adapter.charge'], {}],
    [
      'a charger behind a lead',
      { power: 'charger-usb-a', wire: 'lead-usb-a-8-pin' },
      ['wire.a power.out', 'wire.pin adapter.charge'],
      {},
    ],
    [
      'a full power bank behind a lead',
      { power: 'power-bank', wire: 'lead-usb-a-8-pin' },
      ['wire.a power.out', 'wire.pin adapter.charge'],
      {},
    ],
    ['the adapter’s own switch', {}, [], { adapter: { charger: 'on' } }],
  ])('%s feeds 500 mA', (_, parts, joints, settings) => {
    expect(onBus(charged(parts, joints, settings)).devices[0]).toMatchObject({
      offered: { least: 500, most: 500 },
      accepted: true,
    });
  });
  it('an empty power bank feeds nothing', () => {
    const empty = charged(
      { power: 'power-bank', wire: 'lead-usb-a-8-pin' },
      ['wire.a power.out', 'wire.pin adapter.charge'],
      { power: { charged: 'off' } },
    );
    expect(onBus(empty).devices[0]).toMatchObject({
      offered: { least: 100, most: 200 },
      refusal: 'too-little-current',
    });
  });
});

describe('power of one’s own', () => {
  const mains = (on: string): RigSketch => ({
    parts: {
      it: 'interface-two-inputs-mains',
      lead: 'lead-usb-a-b',
      adapter: 'adapter-8-pin-usb-bare',
      phone: 'phone-8-pin',
    },
    joints: ['lead.b it.usb', 'lead.a adapter.usb', 'adapter.plug phone.port'],
    settings: { it: { mains: on } },
  });
  it('an interface on its mains unit draws nothing from a bare adapter; without it, it starves', () => {
    expect(onBus(mains('on')).devices[0]).toMatchObject({ draws: 0, accepted: true });
    expect(onBus(mains('off')).devices[0]).toMatchObject({ draws: 350, refusal: 'too-little-current' });
    expect(onBus(mains('on')).isLive('it')).toBe(true);
    expect(onBus(mains('off')).isLive('it')).toBe(false);
  });
});

describe('real draw and length', () => {
  it('what a device really takes is held against what its socket has left', () => {
    const { devices } = onBus(LIT);
    expect(devices[0]).toMatchObject({
      draws: 100,
      offered: { least: 100, most: 100 },
      takes: 260,
      left: 100,
      accepted: true,
    });
  });
  it('adds up the leads of one run, and starts anew behind a hub', () => {
    const long = (metres: number) => {
      const rig = layRig({
        parts: {
          mic: 'usb-mic-low',
          lead: 'lead-usb-c-c',
          more: 'lead-usb-c-extension',
          phone: 'phone-usb-c',
        },
        joints: ['lead.a mic.usb', 'lead.b more.socket', 'more.plug phone.port'],
      });
      const parts = rig.parts.map((p) => (p.id === 'more' ? { ...p, length: metres } : p));
      return analyse({ ...rig, parts }).findings.map((f) => f.code);
    };
    expect(long(3.9)).toEqual([]);
    expect(long(4.5)).toEqual(['usb-lead-long']);
  });
});
