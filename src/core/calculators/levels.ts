import { DBU_OVER_DBV, PASCAL_SPL } from '../units';
import { field, of, type Calculator } from './calculator';

/** One level in every unit in which people write it. */
const unitsOfLevel: Calculator = {
  id: 'units',
  name: 'Levels in other units',
  fields: [field('level', 'Level', 'dBV', 4 - DBU_OVER_DBV, [-200, 60])],
  formula: 'dBu = dBV + 2.218; V = 10^(dBV/20); 0 dBFS at +18 dBu (EBU) or +24 dBu (SMPTE)',
  source: 'IEC 60268-2 reference voltages (from memory); EBU R 68; SMPTE RP 155',
  compute: (values) => {
    const dbv = of(values, 'level');
    const dbu = dbv + DBU_OVER_DBV;
    return [
      { name: 'dBu', value: dbu, unit: 'dBu' },
      { name: 'Volts RMS', value: 10 ** (dbv / 20), unit: 'V' },
      { name: 'Volts peak to peak, a sine', value: 2 * Math.SQRT2 * 10 ** (dbv / 20), unit: 'V' },
      // EBU R 68: −18 dBFS = 0 dBu. SMPTE RP 155: −20 dBFS = +4 dBu.
      { name: 'Aligned after EBU R 68', value: dbu - 18, unit: 'dBFS' },
      { name: 'Aligned after SMPTE RP 155', value: dbu - 24, unit: 'dBFS' },
    ];
  },
};

const loading: Calculator = {
  id: 'loading',
  name: 'Loading',
  fields: [
    field('source', 'Source impedance', 'ohm', 150, [0, 1e7]),
    field('load', 'Load impedance', 'ohm', 1500, [0.1, 1e9]),
  ],
  formula: 'loss = 20·log10(Zl / (Zs + Zl))',
  source: 'voltage divider; bridging is a load of at least ten times the source (IEC 60268-15; from memory)',
  compute: (values) => {
    const [source, load] = [of(values, 'source'), of(values, 'load')];
    return [
      { name: 'Loss', value: 20 * Math.log10(load / (source + load)), unit: 'dB' },
      { name: 'Load over source', value: source === 0 ? Infinity : load / source, unit: '×' },
    ];
  },
};

const microphone: Calculator = {
  id: 'microphone',
  name: 'What a microphone gives',
  fields: [
    field('sensitivity', 'Sensitivity', 'dBV/Pa', -56, [-90, 10]),
    field('level', 'Sound level at 1 m, RMS', 'dB SPL', 62.35, [0, 160]),
    field('distance', 'Distance', 'm', 0.1, [0.005, 100]),
    field('crest', 'Peaks over RMS', 'dB', 12, [0, 30]),
  ],
  formula: 'output = sensitivity + SPL − 20·log10(r / 1 m) − 94',
  source:
    'free field, inverse distance; speech at 1 m: 62.35 normal, 68.34 raised, 74.85 loud, 82.30 shout (ANSI S3.5-1997; from memory)',
  compute: (values) => {
    const spl = of(values, 'level') - 20 * Math.log10(of(values, 'distance'));
    const rms = of(values, 'sensitivity') + spl - PASCAL_SPL;
    return [
      { name: 'Sound level there', value: spl, unit: 'dB SPL' },
      { name: 'Output, RMS', value: rms, unit: 'dBV' },
      { name: 'Output, peaks', value: rms + of(values, 'crest'), unit: 'dBV' },
      { name: 'Output, RMS', value: rms + DBU_OVER_DBV, unit: 'dBu' },
    ];
  },
};

/** Boltzmann's constant, exact since 2019 (SI Brochure, 9th edition). */
const BOLTZMANN = 1.380649e-23;

const noise: Calculator = {
  id: 'noise',
  name: 'Noise of a resistance and a preamplifier',
  fields: [
    field('ohms', 'Source resistance', 'ohm', 150, [0, 1e9]),
    field('band', 'Bandwidth, Hz', '', 20_000, [1, 1e6]),
    field('ein', 'Equivalent input noise of the preamplifier', 'dBV', -130.2, [-200, 0]),
    field('signal', 'Signal, RMS', 'dBV', -60, [-200, 60]),
  ],
  formula: 'v = √(4kTRB) at 290 K; the two add by power',
  source: 'Johnson and Nyquist 1928; 150 Ω over 20 kHz is −131.0 dBu',
  compute: (values) => {
    const volts = Math.sqrt(4 * BOLTZMANN * 290 * of(values, 'ohms') * of(values, 'band'));
    const thermal = 20 * Math.log10(volts);
    const both = 10 * Math.log10(volts ** 2 + 10 ** (of(values, 'ein') / 10));
    return [
      { name: 'Of the resistance', value: thermal + DBU_OVER_DBV, unit: 'dBu' },
      { name: 'Both together', value: both + DBU_OVER_DBV, unit: 'dBu' },
      { name: 'Signal over noise', value: of(values, 'signal') - both, unit: 'dB' },
    ];
  },
};

export const LEVEL_CALCULATORS: readonly Calculator[] = [unitsOfLevel, loading, microphone, noise];
