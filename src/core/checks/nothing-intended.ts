import type { Facts } from '../engine/facts';
import type { Finding } from './finding';
import { COMPUTED } from './origins';

/** A rig in which no source or no recorder is chosen cannot record anything. */
export function nothingIntended({ rig }: Facts): Finding[] {
  const { sources, recorders } = rig.purpose;
  if (sources.length > 0 && recorders.length > 0) return [];
  return [
    {
      code: 'nothing-intended',
      severity: 'blocks',
      where: {},
      values: [
        { name: 'sources', value: sources.length, unit: '' },
        { name: 'recorders', value: recorders.length, unit: '' },
      ],
      limit: { value: 1, unit: '', is: 'at least' },
      origin: COMPUTED,
    },
  ];
}
