import { describe, expect, it } from 'vitest';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { allFacts } from '..';
import { isCharged } from './charge';

const PACK: RigSketch = {
  parts: {
    receiver: 'receiver-trs',
    patch: 'patch-trs-trrs',
    dongle: 'dongle-usb-c-charge',
    phone: 'phone-usb-c',
  },
  joints: ['patch.trs receiver.out', 'patch.trrs dongle.jack', 'dongle.plug phone.port'],
};
const fed = (supply: string): RigSketch => ({
  parts: { ...PACK.parts, supply, phone: 'phone-usb-c' },
  joints: [...PACK.joints, 'supply.out dongle.charge'],
  recorder: 'phone',
});
const charges = (sketch: RigSketch, host = 'phone') => isCharged(allFacts(layRig(sketch))[0], host);

describe('whether a host gains charge while it records', () => {
  it('by a charger in the dongle’s socket, and not by the socket alone', () => {
    expect(charges(fed('charger-usb-c'))).toBe(true);
    expect(charges(PACK)).toBe(false);
  });
  it('a bank by a lead counts, as long as it lasts', () => {
    const bank = (charged: string): RigSketch => ({
      parts: { ...PACK.parts, bank: 'power-bank-usb-c', lead: 'lead-usb-c-c', phone: 'phone-usb-c' },
      joints: [...PACK.joints, 'lead.a bank.out', 'lead.b dongle.charge'],
      settings: { bank: { charged } },
      recorder: 'phone',
    });
    expect(charges(bank('on'))).toBe(true);
    expect(charges(bank('off'))).toBe(false);
  });
  it('a phone without a digital port charges by a socket of its own', () =>
    expect(
      charges({
        parts: { receiver: 'receiver-trs', patch: 'patch-trs-trrs', phone: 'phone-ctia' },
        joints: ['patch.trs receiver.out', 'patch.trrs phone.jack'],
      }),
    ).toBe(true));
  it('a dongle that passes no charge charges nothing', () =>
    expect(
      charges({
        parts: {
          receiver: 'receiver-trs',
          patch: 'patch-trs-trrs',
          dongle: 'dongle-usb-c-headset',
          phone: 'phone-usb-c',
        },
        joints: ['patch.trs receiver.out', 'patch.trrs dongle.jack', 'dongle.plug phone.port'],
      }),
    ).toBe(false));
});
