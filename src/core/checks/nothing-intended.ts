import { check } from './check';
import { COMPUTED } from './origins';

/** A rig in which no source or no recorder is chosen cannot record anything. */
export const nothingIntended = check({
  code: 'nothing-intended',
  means: 'The rig names no source or no recorder, so there is nothing to judge.',
  severity: ['blocks'],
  origin: COMPUTED,
  limit: 'At least one source and one recorder.',
  cures: [],
  find: ({ rig: { purpose } }) =>
    purpose.sources.length > 0 && purpose.recorders.length > 0
      ? []
      : [
          {
            where: {},
            values: [
              { name: 'sources', value: purpose.sources.length, unit: '' },
              { name: 'recorders', value: purpose.recorders.length, unit: '' },
            ],
            limit: { value: 1, unit: '', is: 'at least' },
          },
        ],
});
