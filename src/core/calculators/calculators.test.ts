import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CALCULATORS, preferred, SERIES, troubleWith, type Values } from '.';

const byId = (id: string) => CALCULATORS.find((one) => one.id === id)!;
const initial = (id: string): Values =>
  Object.fromEntries(byId(id).fields.map((field) => [field.id, field.initial]));
const result = (id: string, name: string, values: Values, unit?: string): number =>
  byId(id)
    .compute({ ...initial(id), ...values })
    .find((one) => one.name === name && (unit === undefined || one.unit === unit))!.value;

describe('against handbooks and standards', () => {
  it('+4 dBu is 1.228 V and 1.78 dBV; −18 dBFS is 0 dBu (EBU R 68), −20 dBFS is +4 dBu (SMPTE RP 155)', () => {
    const level = 4 - 2.2185;
    expect(result('units', 'Volts RMS', { level })).toBeCloseTo(1.228, 3);
    expect(result('units', 'Aligned after EBU R 68', { level: -2.2185 })).toBeCloseTo(-18, 3);
    expect(result('units', 'Aligned after SMPTE RP 155', { level })).toBeCloseTo(-20, 3);
  });

  it('150 Ω into 1.5 kΩ loses 0.83 dB, equal impedances 6.02 dB (IEC 60268-15; from memory)', () => {
    expect(result('loading', 'Loss', { source: 150, load: 1500 })).toBeCloseTo(-0.83, 2);
    expect(result('loading', 'Loss', { source: 600, load: 600 })).toBeCloseTo(-6.02, 2);
  });

  it('150 Ω hiss at −130.96 dBu over 20 kHz, 200 Ω at −129.72 (handbook tables; from memory)', () => {
    expect(result('noise', 'Of the resistance', { ohms: 150 })).toBeCloseTo(-130.96, 1);
    expect(result('noise', 'Of the resistance', { ohms: 200 })).toBeCloseTo(-129.72, 1);
  });

  it('normal speech at 0.1 m into −56 dBV/Pa: 82.35 dB SPL, −67.6 dBV (ANSI S3.5, inverse distance)', () => {
    expect(result('microphone', 'Sound level there', {})).toBeCloseTo(82.35, 2);
    expect(result('microphone', 'Output, RMS', {}, 'dBV')).toBeCloseTo(-67.63, 2);
  });

  it('phantom 48 V by 6.81 kΩ: 14.1 mA into a short, 34.4 V left at 4 mA (IEC 61938; from memory)', () => {
    expect(result('phantom', 'Into a short of both legs', {})).toBeCloseTo(14.1, 1);
    expect(result('phantom', 'Left at the microphone', {})).toBeCloseTo(34.38, 2);
  });

  it('10 m of air at 20 °C take 29.1 ms; 343 m/s', () => {
    expect(result('delay', 'Delay', {})).toBeCloseTo(29.1, 1);
    expect(result('delay', 'Speed of sound', {})).toBeCloseTo(343.2, 0);
  });

  it('10 kΩ and 6 m of 100 pF/m have their corner at 26.5 kHz', () => {
    expect(result('corner', '3 dB down at', {})).toBeCloseTo(26_526, 0);
  });
});

describe('preferred values (IEC 60063)', () => {
  it('E96 begins as the standard prints it', () => {
    expect(SERIES.E96.slice(0, 8)).toEqual([1, 1.02, 1.05, 1.07, 1.1, 1.13, 1.15, 1.18]);
    expect(SERIES.E96.at(-1)).toBe(9.76);
  });

  it('the nearest is never further than half a step', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 1e8, noNaN: true }), (ohms) => {
        for (const [name, count] of [
          ['E12', 12],
          ['E24', 24],
          ['E96', 96],
        ] as const)
          // Values are rounded, so a step may be a little wider than 10^(1/n).
          expect(Math.abs(Math.log10(preferred(ohms, name) / ohms))).toBeLessThan(0.62 / count);
      }),
      { seed: 1 },
    );
  });

  it('nothing and less than nothing have none', () => {
    expect(preferred(0, 'E24')).toBeNaN();
    expect(preferred(-3, 'E24')).toBeNaN();
  });
});

describe('pads', () => {
  it('40 dB from 150 Ω into 2.2 kΩ, 10 kΩ seen: the exact one takes off 40 dB by the divider, the built one nearly', () => {
    const [series, shunt] = ['Series resistor, exact', 'Shunt resistor, exact'].map((n) =>
      result('pad', n, {}),
    );
    const foot = 1 / (1 / shunt! + 1 / 2200);
    expect(-20 * Math.log10(foot / (150 + series! + foot))).toBeCloseTo(40, 6);
    expect(series! + foot).toBeCloseTo(10_000, 3);
    expect(result('pad', 'Loss with E24', {})).toBeCloseTo(40, 0);
  });

  it('tolerance by corners holds every pad within it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (a, b) => {
          const [series, shunt] = ['Series, E24 (U pad: half of it in each leg)', 'Shunt, E24'].map((n) =>
            result('pad', n, {}),
          );
          const [s, h] = [series! * (1 + 0.05 * a), shunt! * (1 + 0.05 * b)];
          const foot = 1 / (1 / h + 1 / 2200);
          const loss = -20 * Math.log10(foot / (150 + s + foot));
          expect(loss).toBeGreaterThanOrEqual(result('pad', 'Least loss within tolerance', {}) - 1e-9);
          expect(loss).toBeLessThanOrEqual(result('pad', 'Most loss within tolerance', {}) + 1e-9);
        },
      ),
      { seed: 2, numRuns: 200 },
    );
  });
});

describe('ranges', () => {
  it.each(CALCULATORS.map((one) => [one.id, one] as const))(
    '%s: no figure in range gives NaN, but a pad that cannot be',
    (_, calculator) => {
      fc.assert(
        fc.property(
          fc.record(
            Object.fromEntries(
              calculator.fields.map(({ id, least, most }) => [
                id,
                fc.double({ min: least, max: most, noNaN: true }),
              ]),
            ),
          ),
          (values) => {
            expect(troubleWith(calculator, values)).toBeUndefined();
            if (calculator.id === 'pad') return;
            for (const { value } of calculator.compute(values)) expect(value).not.toBeNaN();
          },
        ),
        { seed: 3, numRuns: 200 },
      );
    },
  );

  it.each([
    ['loading', { source: -150 }, /Source impedance is -150 Ω: it is taken from 0/],
    ['microphone', { sensitivity: 40 }, /Sensitivity is 40 dBV\/Pa/],
    ['corner', { length: 5000 }, /Length is 5000 m: it is taken from 0.01 to 1000 m/],
    ['noise', { ohms: NaN }, /Source resistance is missing/],
  ] as const)('%s refuses what cannot be, by name', (id, values, says) => {
    expect(troubleWith(byId(id), { ...initial(id), ...values })!.says).toMatch(says);
  });
});
