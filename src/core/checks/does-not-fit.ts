import type { Facts } from '../engine/facts';
import type { Finding } from './finding';
import { PLUG_SIZES } from './origins';

/** Two connectors that cannot be pushed together. */
export function doesNotFit({ matings }: Facts): Finding[] {
  return matings
    .filter(({ mating }) => !mating.fits)
    .map(({ joint }) => ({
      code: 'does-not-fit',
      severity: 'blocks',
      where: { joint: joint.id },
      values: [],
      origin: PLUG_SIZES,
    }));
}
