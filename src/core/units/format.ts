import type { FigureUnit } from './parse';

const MINUS = '−';

function fixed(value: number, digits: number): string {
  const text = Math.abs(value).toFixed(digits);
  return value < 0 && Number(text) !== 0 ? MINUS + text : text;
}

/** Without zeros at the end: "1", "2.2". */
const trimmed = (value: number, digits: number): string => String(Number(value.toFixed(digits)));

/** "−17.8 dBV": one decimal, a true minus; −Infinity reads "nothing". */
export function formatDb(value: number, unit = 'dB'): string {
  return Number.isFinite(value) ? `${fixed(value, 1)} ${unit}` : value < 0 ? 'nothing' : `∞ ${unit}`;
}

/** "0.3 Ω", "470 Ω", "2.2 kΩ", "4.7 MΩ"; an open line reads "open". */
export function formatOhms(value: number): string {
  if (!Number.isFinite(value) || value >= 1e8) return 'open';
  if (value >= 999_500) return `${trimmed(value / 1e6, 2)} MΩ`;
  if (value >= 999.5) return `${trimmed(value / 1000, 2)} kΩ`;
  return `${trimmed(value, value < 9.95 ? 1 : 0)} Ω`;
}

/** "1.20 V", "48 V"; under 10 mV in millivolts, "0 V" under 50 µV. */
export function formatVolts(value: number): string {
  const size = Math.abs(value);
  if (size < 5e-5) return '0 V';
  if (size < 0.01) return `${fixed(value * 1000, 1)} mV`;
  return `${fixed(value, Number.isInteger(value) ? 0 : 2)} V`;
}

/** A plain figure with its unit, for values that have no rule of their own. */
export function formatQuantity(value: number, unit: string): string {
  if (unit === 'ohm') return formatOhms(value);
  if (unit === 'V') return formatVolts(value);
  if (unit.startsWith('dB')) return formatDb(value, unit);
  if (!Number.isFinite(value)) return value > 0 ? `∞ ${unit}` : `${MINUS}∞ ${unit}`;
  return `${fixed(value, Number.isInteger(value) ? 0 : 2)}${unit ? ` ${unit}` : ''}`;
}

/** With the largest of these prefixes that leaves a figure of at least 1. */
function prefixed(value: number, steps: readonly (readonly [factor: number, symbol: string])[]): string {
  const [factor, symbol] = steps.find(([f]) => Math.abs(value) >= f) ?? steps.at(-1) ?? [1, ''];
  return `${trimmed(value / factor, 3)} ${symbol}`;
}

/** A figure as it stands in a field, in words that `parseFigure` reads back: "−42 dBV/Pa", "2.2 kΩ", "47 µF". */
export function formatFigure(value: number, unit: FigureUnit): string {
  const said = (text: string) => text.replace('-', MINUS);
  switch (unit) {
    case 'ohm':
      return said(
        prefixed(value, [
          [1e6, 'MΩ'],
          [1e3, 'kΩ'],
          [1, 'Ω'],
        ]),
      );
    case 'F':
      return prefixed(value, [
        [1e-3, 'mF'],
        [1e-6, 'µF'],
        [1e-9, 'nF'],
        [1e-12, 'pF'],
      ]);
    case 'H':
      return prefixed(value, [
        [1, 'H'],
        [1e-3, 'mH'],
        [1e-6, 'µH'],
      ]);
    case 'm':
      return prefixed(value, [
        [1, 'm'],
        [0.01, 'cm'],
      ]);
    default:
      return said(`${Number(value.toFixed(3))}${unit ? ` ${unit}` : ''}`);
  }
}
