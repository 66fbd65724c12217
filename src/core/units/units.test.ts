import { describe, expect, it } from 'vitest';
import {
  dbU,
  dbUToDbV,
  dbV,
  dbVPerPa,
  dbVToDbU,
  dbVToVolts,
  dbSpl,
  distanceDb,
  formatDb,
  formatOhms,
  formatVolts,
  metres,
  microphoneOutput,
  powerSumDb,
  volts,
  voltsToDbV,
} from '.';

describe('levels against published figures', () => {
  it('0 dBu is 0.7746 V, +4 dBu 1.228 V, −10 dBV 0.3162 V (IEC 60268-2; from memory)', () => {
    expect(dbVToVolts(dbUToDbV(dbU(0)))).toBeCloseTo(0.7746, 4);
    expect(dbVToVolts(dbUToDbV(dbU(4)))).toBeCloseTo(1.228, 3);
    expect(dbVToVolts(dbV(-10))).toBeCloseTo(0.3162, 4);
  });
  it('−10 dBV is −7.78 dBu: the two line levels are 11.78 dB apart (common practice)', () => {
    expect(dbVToDbU(dbV(-10))).toBeCloseTo(-7.782, 3);
    expect(4 - dbVToDbU(dbV(-10))).toBeCloseTo(11.782, 3);
  });
  it('+22 dBu is 9.75 V', () => {
    expect(dbVToVolts(dbUToDbV(dbU(22)))).toBeCloseTo(9.752, 3);
  });
  it('94 dB SPL is one pascal, to the rounding of data sheets', () => {
    expect(microphoneOutput(dbVPerPa(-42), dbSpl(94))).toBeCloseTo(-42, 1);
  });
  it('doubling the distance costs 6.02 dB', () => {
    expect(distanceDb(metres(2))).toBeCloseTo(-6.0206, 4);
  });
  it('two equal uncorrelated noises make 3.01 dB more; none makes silence', () => {
    expect(powerSumDb([-60, -60])).toBeCloseTo(-56.99, 2);
    expect(powerSumDb([])).toBe(-Infinity);
  });
  it('volts to dBV and back', () => {
    expect(dbVToVolts(voltsToDbV(volts(0.123)))).toBeCloseTo(0.123, 12);
  });
});

describe('figures as they are read', () => {
  it.each([
    [0, '0 Ω'],
    [0.34, '0.3 Ω'],
    [470, '470 Ω'],
    [2200, '2.2 kΩ'],
    [1000, '1 kΩ'],
    [4.7e6, '4.7 MΩ'],
    [Infinity, 'open'],
  ])('%s Ω reads %s', (value, text) => expect(formatOhms(value)).toBe(text));
  it.each([
    [0, '0 V'],
    [-0.033, '−0.03 V'],
    [0.0042, '4.2 mV'],
    [1.4985, '1.50 V'],
  ])('%s V reads %s', (value, text) => expect(formatVolts(value)).toBe(text));
  it('uses a true minus and says "nothing" for silence', () => {
    expect(formatDb(-17.83, 'dBV')).toBe('−17.8 dBV');
    expect(formatDb(-0.01)).toBe('0.0 dB');
    expect(formatDb(-Infinity)).toBe('nothing');
  });
});
