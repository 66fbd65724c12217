import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CATALOGUE } from '../parts';
import { figuresOf } from '../parts/model/figures';
import { formatFigure, parseFigure, type FigureUnit } from '.';

const read = (text: string, unit: FigureUnit) => {
  const parsed = parseFigure(text, unit);
  return parsed.ok ? parsed.value : parsed.says;
};

describe('figures as people write them', () => {
  it.each<[string, FigureUnit, number]>([
    ['−42 dBV/Pa', 'dBV/Pa', -42],
    ['-42', 'dBV/Pa', -42],
    // 20·log10(7.9 mV / 1 V): the other way in which data sheets give a sensitivity.
    ['7.9 mV/Pa', 'dBV/Pa', -42.0475],
    ['+4 dBu', 'dBV', 1.7816],
    // 0.3162 V is −10 dBV (common practice of consumer line level).
    ['316.2 mV', 'dBV', -10.0005],
    ['−10dBV', 'dBV', -10],
    ['100', 'ohm', 100],
    ['100 Ω', 'ohm', 100],
    ['2.2 kΩ', 'ohm', 2200],
    ['1k5', 'ohm', 1500],
    ['4R7', 'ohm', 4.7],
    ['1M', 'ohm', 1e6],
    ['250 mA', 'mA', 250],
    ['0,5 A', 'mA', 500],
    ['48 V', 'V', 48],
    ['900mV', 'V', 0.9],
    ['47 µF', 'F', 47e-6],
    ['100pF', 'F', 100e-12],
    ['20 cm', 'm', 0.2],
    ['1,5', 'm', 1.5],
    ['-92 dBFS', 'dBFS', -92],
    ['90 dB SPL', 'dB SPL', 90],
  ])('%s as %s', (text, unit, value) => expect(read(text, unit)).toBeCloseTo(value, 3));

  it.each<[string, FigureUnit]>([
    ['', 'ohm'],
    ['many', 'ohm'],
    ['48 V', 'ohm'],
    ['-3 mV/Pa', 'dBV/Pa'],
    ['12 dBV/Pa', 'dBV'],
    ['1e999', 'V'],
    ['1k5k', 'ohm'],
    ['__proto__', 'V'],
    ['5constructor', 'ohm'],
  ])('“%s” is no figure in %s, and is quoted', (text, unit) => {
    const says = read(text, unit);
    expect(says).toContain(`“${text}” is no such figure; write`);
  });

  it('reads back what it is told in ohms, whatever the multiplier', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 999 }), fc.constantFrom('k', 'M', ''), (n, prefix) => {
        const factor = { k: 1e3, M: 1e6, '': 1 }[prefix];
        expect(read(`${n} ${prefix}Ω`, 'ohm')).toBeCloseTo(n * factor, 6);
      }),
      { seed: 20261124 },
    );
  });

  it('reads back every figure of the catalogue as it stands in a field, to a thousandth', () => {
    for (const { unit, value } of CATALOGUE.flatMap(figuresOf)) {
      const back = read(formatFigure(value, unit), unit);
      expect(back, `${formatFigure(value, unit)}`).toBeTypeOf('number');
      const scale = unit.startsWith('dB') ? 1 : Math.max(Math.abs(value), 1e-12);
      expect(Math.abs((back as number) - value) / scale).toBeLessThan(1e-3);
    }
  });

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string(), fc.constantFrom<FigureUnit>('ohm', 'dBV', 'mA', 'm', ''), (text, unit) => {
        const parsed = parseFigure(text, unit);
        expect(parsed.ok ? Number.isFinite(parsed.value) : parsed.says.length > 0).toBe(true);
      }),
      { seed: 20261124 },
    );
  });
});
