import { describe, expect, it } from 'vitest';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { LIT } from '../../../../testing/power-rigs';
import { allFacts } from '../facts';
import { deviceDraws } from './states';

const drawsIn = (sketch: RigSketch) => deviceDraws(allFacts(layRig(sketch))[0]);

describe('what a device takes from first to last', () => {
  it('no more than a unit load until the host has taken it, then as its switches stand', () => {
    const [mic] = drawsIn(LIT);
    expect(mic).toMatchObject({
      placed: 'mic',
      atFirst: 100,
      states: [
        { setting: 'lights', option: 'off', now: false, declared: 100, takes: 100 },
        { setting: 'lights', option: 'on', now: true, declared: 100, takes: 260 },
      ],
    });
  });

  it('one state where nothing is switched; less at first where it never takes a unit load', () => {
    const [mic] = drawsIn({
      parts: { mic: 'usb-mic-low', lead: 'lead-usb-c-c', phone: 'phone-usb-c' },
      joints: ['lead.a mic.usb', 'lead.b phone.port'],
    });
    expect(mic).toEqual({ placed: 'mic', atFirst: 70, states: [{ now: true, declared: 70, takes: 70 }] });
  });
});
