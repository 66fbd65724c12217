import { describe, expect, it } from 'vitest';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { outcomeOf } from '../../judge';
import { findPart, type Part } from '../../parts';
import type { Rig } from '../../rig';

/** A USB microphone that declares so many milliamperes. */
function declaring(draw: number): Part {
  const base = findPart('usb-mic-low');
  if (!base?.bus) throw new Error('the catalogue has no such microphone');
  return { ...base, id: `own-${draw}`, bus: { ...base.bus, draw } };
}

function laid(sketch: RigSketch, draw: number): Rig {
  const rig = layRig(sketch);
  const own = declaring(draw);
  const parts = rig.parts.map((placed) => {
    if (placed.id === 'mic') return { ...placed, part: own.id };
    return placed.id === 'lead' ? { ...placed, length: 0.3 } : placed;
  });
  return { ...rig, parts, ownParts: [own] };
}

const direct: RigSketch = {
  parts: { mic: 'usb-mic-low', lead: 'lead-usb-c-c', tablet: 'tablet-usb-c' },
  joints: ['mic.usb lead.a', 'lead.b tablet.port'],
};
const overHub: RigSketch = {
  parts: {
    mic: 'usb-mic-low',
    lead: 'lead-usb-a-c',
    hub: 'hub-usb-c',
    charger: 'charger-usb-c',
    tablet: 'tablet-usb-c',
  },
  joints: ['mic.usb lead.b', 'lead.a hub.one', 'hub.plug tablet.port', 'charger.out hub.charge'],
};
const overBareHub: RigSketch = {
  parts: { mic: 'usb-mic-low', lead: 'lead-usb-a-c', hub: 'hub-usb-c', tablet: 'tablet-usb-c' },
  joints: overHub.joints.slice(0, 3),
};

// USB 2.0, 7.2.1: 500 mA at a port, 100 mA at a socket of a hub that the bus feeds. USB 3.2, 11.4.1: 900 mA (from memory).
describe('a USB-C tablet', () => {
  it('feeds a microphone of 100 mA by itself', () => {
    expect(outcomeOf(laid(direct, 100))).toMatchObject({ verdict: 'clean', findings: [] });
  });
  it('refuses a load of 900 mA, and says what it has and what is asked', () => {
    const { verdict, findings } = outcomeOf(laid(direct, 900));
    expect(verdict).toBe('silent');
    expect(findings).toMatchObject([
      { code: 'starved', values: [{ value: 500, unit: 'mA' }], limit: { value: 900, is: 'at least' } },
    ]);
  });
  it('records it behind a hub with a supply, and not behind the same hub without one', () => {
    expect(outcomeOf(laid(overHub, 900))).toMatchObject({ verdict: 'clean', findings: [] });
    expect(outcomeOf(laid(overBareHub, 900)).findings).toMatchObject([
      { code: 'starved', values: [{ value: 100 }] },
    ]);
  });
});
