import type { Part, Quantity } from '../../parts';
import { settingOf, type LaidPart } from '../../rig';
import { own } from '../../schema';

const lengthOf = (placed: number | undefined, part: Part): number => placed ?? part.length ?? 0;

/** The figure of a quantity on this laid part; of a typical one the middle of its spread. */
export function figureOf(quantity: Quantity, laid: LaidPart): number {
  if (typeof quantity === 'number') return quantity;
  if ('typical' in quantity) return quantity.typical;
  if ('perMetre' in quantity) return quantity.perMetre * lengthOf(laid.placed.length, laid.part);
  if ('knob' in quantity) return Number(settingOf(laid, quantity.knob));
  const value = own(quantity.values, String(settingOf(laid, quantity.setting)));
  return value === undefined ? NaN : (value ?? -Infinity);
}

/** From the least to the most that parts of the kind have. */
export interface Spread {
  readonly least: number;
  readonly most: number;
}

/** How far a typical figure spreads; one that is known does not. */
export function spreadOf(quantity: Quantity, laid: LaidPart): Spread {
  if (typeof quantity === 'object' && 'typical' in quantity) return quantity;
  const figure = figureOf(quantity, laid);
  return { least: figure, most: figure };
}
