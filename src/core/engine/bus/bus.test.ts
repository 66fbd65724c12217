import { describe, expect, it } from 'vitest';
import { mateJoints, readings } from '../mate';
import { netElements } from '../../../../testing/net-elements';
import { touchLinks, wiring } from '../circuit';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { MOST_HUBS, attachedDevices, type AttachedDevice } from '.';

function attached(sketch: RigSketch): AttachedDevice[] {
  const rig = layRig(sketch);
  const matings = mateJoints(rig);
  const [reading] = readings(matings);
  const elements = netElements(rig);
  return attachedDevices(rig, wiring({ elements, touches: reading ? touchLinks(matings, reading) : [] }));
}

/** Hubs one behind the other, each with its own supply, between a receiver and a phone. */
function hubChain(count: number, supply = 'on'): RigSketch {
  const hubs = Array.from({ length: count }, (_, index) => `hub${index}`);
  const parts: Record<string, string> = { receiver: 'receiver-usb' };
  const settings: Record<string, Record<string, string>> = {};
  for (const hub of hubs) {
    parts[hub] = 'hub-usb-a';
    settings[hub] = { supply };
  }
  const links = hubs.slice(1).map((hub, index) => `${hubs[index] ?? ''}.plug ${hub}.three`);
  return {
    parts: { ...parts, adapter: 'adapter-8-pin-usb', phone: 'phone-8-pin' },
    joints: [
      'receiver.usb hub0.one',
      ...links,
      `${hubs.at(-1) ?? ''}.plug adapter.usb`,
      'adapter.plug phone.port',
    ],
    settings: { ...settings, adapter: { charger: 'on' } },
  };
}

describe('the USB tree (USB 2.0, 4.1.1: five hubs between host and device)', () => {
  // The host adapter counts as the first.
  it.each([1, MOST_HUBS - 1])('%s hubs behind the adapter are taken', (hubs) => {
    expect(attached(hubChain(hubs))).toMatchObject([{ placed: 'receiver', hubs: hubs + 1, accepted: true }]);
  });
  it('one hub more is refused, whatever power there is', () => {
    const [device] = attached(hubChain(MOST_HUBS));
    expect(device).toMatchObject({ hubs: MOST_HUBS + 1, refusal: 'too-deep', accepted: false, fed: true });
  });
});

describe('current', () => {
  it('a USB-C phone offers 500 mA (USB 2.0, 7.2.1: a configured device)', () => {
    const [device] = attached({
      parts: { interface: 'interface-one-input', phone: 'phone-usb-c' },
      joints: ['interface.usb phone.port'],
    });
    expect(device).toMatchObject({ offered: { least: 500, most: 500 }, draws: 250, accepted: true });
  });

  it('phantom adds to what an interface declares', () => {
    const draws = (phantom: string) =>
      attached({
        parts: { interface: 'interface-one-input', phone: 'phone-usb-c' },
        joints: ['interface.usb phone.port'],
        settings: { interface: { phantom } },
      })[0]?.draws;
    expect([draws('off'), draws('on')]).toEqual([250, 350]);
  });

  it('a powered hub gives 500 mA a socket, an unpowered one at most 100 of what is left (USB 2.0, 7.2.1)', () => {
    const behindAdapter = (supply: string, charger: string) => {
      const sketch = hubChain(1, supply);
      return attached({ ...sketch, settings: { ...sketch.settings, adapter: { charger } } })[0];
    };
    expect(behindAdapter('on', 'off')).toMatchObject({ offered: { least: 500, most: 500 }, accepted: true });
    // 500 mA from the adapter less the hub's own 100 mA leave 400; a socket gives 100 of them.
    expect(behindAdapter('off', 'on')).toMatchObject({ offered: { least: 100, most: 100 }, accepted: true });
    // Of a bare adapter’s 100 to 200 mA (typical) the hub itself takes 100.
    expect(behindAdapter('off', 'off')).toMatchObject({
      offered: { least: 0, most: 100 },
      uncertain: true,
      accepted: true,
    });
  });

  it('sockets of an unpowered hub share what it has: the second device goes short', () => {
    const sketch = hubChain(1, 'off');
    const found = attached({
      ...sketch,
      parts: { ...sketch.parts, second: 'interface-one-input' },
      joints: [...sketch.joints, 'second.usb hub0.two'],
    });
    expect(found.map((d) => [d.placed, d.accepted])).toEqual([
      ['receiver', true],
      ['second', false],
    ]);
    expect(found[1]).toMatchObject({
      refusal: 'too-little-current',
      draws: 250,
      offered: { least: 100, most: 100 },
    });
  });
});

describe('lines', () => {
  const through = (lead: string): RigSketch => ({
    parts: { receiver: 'receiver-usb', lead, phone: 'phone-usb-c' },
    joints: ['receiver.usb lead.socket', 'lead.plug phone.port'],
  });
  it('a whole lead carries both', () => {
    expect(attached(through('lead-usb-c-extension'))).toMatchObject([{ accepted: true, fed: true }]);
  });
  it('a charge-only lead feeds and says nothing', () => {
    expect(attached(through('lead-usb-c-charge'))).toMatchObject([
      { accepted: false, fed: true, refusal: 'no-data' },
    ]);
  });
  it('a device on no host is no one’s', () => {
    expect(attached({ parts: { receiver: 'receiver-usb', phone: 'phone-usb-c' }, joints: [] })).toEqual([]);
  });
  it('hubs plugged into one another in a ring end the walk', () => {
    const ring = attached({
      parts: { a: 'hub-usb-a', b: 'hub-usb-a', phone: 'phone-8-pin' },
      joints: ['a.plug b.three', 'b.plug a.three'],
    });
    expect(ring).toEqual([]);
  });
});

describe('authentication of an 8-pin port (common practice)', () => {
  it('a headset dongle has it', () => {
    expect(
      attached({
        parts: { dongle: 'dongle-8-pin-headset', phone: 'phone-8-pin' },
        joints: ['dongle.plug phone.port'],
      }),
    ).toMatchObject([{ accepted: true, device: { registersAs: 'headset' } }]);
  });
  it('a host adapter brings it for the device behind it, which has none itself', () => {
    const [device] = attached({
      parts: {
        receiver: 'receiver-usb',
        bridge: 'adapter-usb-a-c',
        adapter: 'adapter-8-pin-usb',
        phone: 'phone-8-pin',
      },
      joints: ['receiver.usb bridge.c', 'bridge.a adapter.usb', 'adapter.plug phone.port'],
    });
    expect(device).toMatchObject({
      accepted: true,
      device: { authenticated: false },
      offered: { least: 100, most: 200 },
    });
  });
});
