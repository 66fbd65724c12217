import type { Measures } from '../signal/measure';
import { SILENT, type Features } from './features';

/** Where less than a tenth of the pauses’ power is not hum, how much that is cannot be said. */
const HIDDEN = 0.1;

/** The features of a take as it was measured. */
export function featuresOf(m: Measures): Features {
  const main = [...m.pauses].sort((a, b) => b.activeDbfs - a.activeDbfs)[0];
  const active = main?.activeDbfs ?? -Infinity;
  const hum = m.hum?.levelDbfs ?? -Infinity;
  const whole = 10 ** ((main?.floorDbfs ?? -Infinity) / 10);
  const floor = whole - 10 ** (hum / 10);
  return {
    image: active < SILENT ? 'silent' : m.image.kind,
    active,
    noise: m.hum && floor < HIDDEN * whole ? null : floor > 0 ? 10 * Math.log10(floor) : -Infinity,
    hum,
    ceiling: m.clipping?.ceilingDbfs ?? null,
    over: m.clipping ? Infinity : -Infinity,
    echo: m.echo,
  };
}
