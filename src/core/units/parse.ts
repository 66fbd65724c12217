import { DBU_OVER_DBV } from './convert';

/** What a figure may be typed in. `dBV/Pa`, `dBV` and `dB` are logarithmic; the others take SI prefixes. */
export type FigureUnit =
  'dBV/Pa' | 'dBV' | 'dBFS' | 'dB SPL' | 'dB' | 'V' | 'ohm' | 'mA' | 'F' | 'H' | 'm' | '';

/** Why a text is no figure: `says` quotes the text and names what is wanted. */
export type ParsedFigure =
  { readonly ok: true; readonly value: number } | { readonly ok: false; readonly says: string };

const PREFIX: Readonly<Record<string, number>> = {
  p: 1e-12,
  n: 1e-9,
  u: 1e-6,
  µ: 1e-6,
  μ: 1e-6,
  m: 1e-3,
  c: 1e-2,
  '': 1,
  k: 1e3,
  K: 1e3,
  M: 1e6,
};

/** The unit itself, as people write it. */
const SYMBOLS: Readonly<Record<FigureUnit, readonly string[]>> = {
  'dBV/Pa': ['V/Pa'],
  dBV: ['V', 'Vrms'],
  dBFS: [],
  'dB SPL': [],
  dB: [],
  V: ['V'],
  ohm: ['Ω', 'Ω', 'ohm', 'ohms', 'R', 'r'],
  mA: ['A'],
  F: ['F'],
  H: ['H'],
  m: ['m'],
  '': [],
};

const EXAMPLE: Readonly<Record<FigureUnit, string>> = {
  'dBV/Pa': '“−42 dBV/Pa” or “7.9 mV/Pa”',
  dBV: '“−10 dBV”, “+4 dBu” or “316 mV”',
  dBFS: '“−92 dBFS”',
  'dB SPL': '“90 dB SPL”',
  dB: '“−20 dB”',
  V: '“48 V” or “1.8 V”',
  ohm: '“100 Ω” or “1k5”',
  mA: '“250 mA” or “0.5 A”',
  F: '“47 µF” or “100 pF”',
  H: '“2.5 H”',
  m: '“0.2 m” or “20 cm”',
  '': '“12”',
};

const isLogarithmic = (unit: FigureUnit): boolean => unit.startsWith('dB');

/** What a symbol without its prefix means in the wanted unit; undefined for another unit. */
function prefixOf(symbol: string, unit: FigureUnit): number | undefined {
  for (const base of SYMBOLS[unit]) {
    if (symbol.endsWith(base)) {
      const prefix = symbol.slice(0, symbol.length - base.length);
      const factor = Object.hasOwn(PREFIX, prefix) ? PREFIX[prefix] : undefined;
      if (factor !== undefined) return factor;
    }
  }
  return undefined;
}

/** Decibels typed into a logarithmic field: bare, in its own unit, or in dBu where dBV is wanted. */
function decibelsOf(value: number, symbol: string, unit: FigureUnit): number | undefined {
  const said = symbol.toLowerCase();
  if (said === '' || said === 'db' || said === unit.toLowerCase().replace(/\s/g, '')) return value;
  return said === 'dbu' && unit === 'dBV' ? value - DBU_OVER_DBV : undefined;
}

/** A linear quantity in the unit's own scale: volts, ohms, milliamperes; decibels for a logarithmic one. */
function inUnit(value: number, symbol: string, unit: FigureUnit): number | undefined {
  if (isLogarithmic(unit)) {
    const level = decibelsOf(value, symbol, unit);
    if (level !== undefined) return level;
    const factor = prefixOf(symbol, unit);
    return factor === undefined || value <= 0 ? undefined : 20 * Math.log10(value * factor);
  }
  if (symbol === '') return value;
  if (unit === 'ohm' && Object.hasOwn(PREFIX, symbol) && symbol !== 'm')
    return value * (PREFIX[symbol] ?? NaN);
  const factor = prefixOf(symbol, unit);
  if (factor === undefined) return undefined;
  return unit === 'mA' ? value * factor * 1000 : value * factor;
}

/** "1k5" and "4R7": the multiplier stands where the point would (IEC 60062). */
const infix = (text: string): string => text.replace(/^([+-]?\d+)([kKMRr])(\d+)$/, '$1.$3$2');

/**
 * Reads a figure as people write it: a comma or a point, a true minus, a unit with an SI prefix or none. Never throws; gives
 * the value in the wanted unit (mA for currents, decibels for levels).
 */
export function parseFigure(text: string, unit: FigureUnit): ParsedFigure {
  const bare = text
    .trim()
    .replace(/[−–]/g, '-')
    .replace(/\s+/g, '')
    .replace(/,(?=\d)/, '.');
  const match = /^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)(\D*.*)$/i.exec(
    unit === 'ohm' ? infix(bare) : bare,
  );
  const value = match && inUnit(Number(match[1]), match[2] ?? '', unit);
  return value === null || value === undefined || !Number.isFinite(value)
    ? { ok: false, says: `“${text.slice(0, 40)}” is no such figure; write ${EXAMPLE[unit]}.` }
    : { ok: true, value };
}
