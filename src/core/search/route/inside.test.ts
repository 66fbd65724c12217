import { describe, expect, it } from 'vitest';
import { CATALOGUE, findPart } from '../../parts';
import { insideOf, most, reach } from './inside';

const part = (id: string) => findPart(id)!;

describe('what a part lets through', () => {
  it('leads and couplers are plain, pads and splitters are not', () => {
    for (const id of ['lead-trs-trs', 'patch-trs-trrs', 'coupler-trs', 'lead-xlr', 'lead-usb-a-c']) {
      expect(insideOf(part(id)).plain, id).toBe(true);
    }
    for (const id of ['pad-jack-40', 'splitter-trs', 'di-passive', 'hub-usb-a', 'dongle-8-pin-headset']) {
      expect(insideOf(part(id)).plain, id).toBe(false);
    }
  });

  it('a transformer passes sound and stops direct current', () => {
    const isolator = insideOf(part('isolator-trs'));
    expect(reach(isolator.sound, ['in.T']).has('out.T')).toBe(true);
    expect(reach(isolator.direct, ['in.T']).has('out.T')).toBe(false);
  });

  it('a stage passes sound one way', () => {
    const box = insideOf(part('interface-small'));
    expect(reach(box.sound, ['mic-1.2']).has('adc-1')).toBe(true);
    expect(reach(box.sound, ['adc-1'], new Set(['ground'])).has('mic-1.2')).toBe(false);
  });

  it('an interface can stand at 48 V (IEC 61938), whatever its switch says now', () => {
    expect(Math.max(...insideOf(part('interface-small')).supplies.values())).toBe(48);
  });

  it('stops are not gone through, nor begun at', () => {
    const links = new Map([
      ['a', ['b']],
      ['b', ['a', 'c']],
      ['c', ['b']],
    ]);
    expect([...reach(links, ['a'])].sort()).toEqual(['a', 'b', 'c']);
    expect([...reach(links, ['a'], new Set(['b']))]).toEqual(['a']);
    expect([...reach(links, ['b'], new Set(['b']))]).toEqual([]);
  });

  it('is worked out once for each part', () => {
    for (const one of CATALOGUE) expect(insideOf(one)).toBe(insideOf(one));
  });
});

describe('the largest value of a figure', () => {
  const receiver = part('receiver-trs');
  it('of a switch is its largest place, of a knob its end, of a lead its length', () => {
    expect(most({ setting: 'output', values: { low: -32, high: -20 } }, receiver)).toBe(-20);
    expect(most({ setting: 'output', values: { low: null, high: -20 } }, receiver)).toBe(-20);
    const guitar = part('guitar');
    expect(most({ knob: 'volume' }, guitar)).toBe(0);
    expect(most({ knob: 'none' }, guitar)).toBe(0);
    expect(most({ perMetre: 2 }, part('lead-trs-trs'))).toBeCloseTo(0.4, 9);
    expect(most(7, receiver)).toBe(7);
  });
});
