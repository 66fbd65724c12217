import type { Arrival } from '../engine/flow';
import { check, type Found } from './check';
import { OWN_TRACK } from './origins';

const ownOf = (a: Arrival, b: Arrival): number => a.inputs.filter((n) => !b.inputs.includes(n)).length;

/** Two sources that were to be kept apart and share every side or track. */
export const sharesTrack = check({
  code: 'shares-track',
  means:
    'The rig asks for a side or track of its own for each source, and two of them cannot be told apart later.',
  severity: ['spoils'],
  origin: OWN_TRACK,
  limit: 'At least one side or track of its own.',
  cures: ['choice', 'plug', 'switch', 'send', 'gain'],
  find: (facts) => {
    if (facts.rig.purpose.tracks !== 'apart') return [];
    const recorded = facts.arrivals.filter((a) => a.state === 'recorded');
    return recorded.flatMap((one, index) =>
      recorded.slice(index + 1).flatMap((other): Found[] => {
        if (other.recorder !== one.recorder) return [];
        if (ownOf(one, other) > 0 && ownOf(other, one) > 0) return [];
        return [
          {
            where: { part: one.recorder },
            source: one.source,
            recorder: one.recorder,
            other: other.source,
            values: [{ name: 'sides or tracks of its own', value: ownOf(one, other), unit: '' }],
            limit: { value: 1, unit: '', is: 'at least' },
          },
        ];
      }),
    );
  },
});
