import { check } from './check';
import { PLUG_SIZES } from './origins';

/** Two connectors that cannot be pushed together. */
export const doesNotFit = check({
  code: 'does-not-fit',
  means:
    'The two connectors of a joint cannot be pushed together: other size, other family, or the same gender.',
  severity: ['blocks'],
  origin: PLUG_SIZES,
  limit: 'Plug dimensions of IEC 60603-11 (from memory).',
  cures: ['plug', 'link'],
  find: ({ matings }) =>
    matings
      .filter(({ mating }) => !mating.fits)
      .map(({ joint }) => ({ where: { joint: joint.id }, values: [] })),
});
