import { longestStretch, pickedUp, runsOf, recordedWays, UNBALANCED_METRES } from '../engine/levels';
import { check, type Found } from './check';
import { LONG_RUN } from './origins';

/** Leads in a row that carry sound unbalanced over more than practice allows, with what they pick up on a stage. */
export const unbalancedRun = check({
  code: 'unbalanced-run',
  means:
    'Leads in a row carry the sound on one conductor against the shield for longer than practice allows: hum and treble loss depend on where it lies.',
  severity: ['note'],
  origin: LONG_RUN,
  limit: `${UNBALANCED_METRES} m of unbalanced lead (15 to 20 ft; common practice). What it picks up is reckoned with a field of our own.`,
  cures: ['link'],
  find: (facts) =>
    longestStretch(facts) <= UNBALANCED_METRES
      ? []
      : recordedWays(facts).flatMap((way): Found[] =>
          runsOf(facts, way)
            .filter(({ balanced, metres }) => !balanced && metres > UNBALANCED_METRES)
            .map((run) => ({
              where: { part: run.parts[0] ?? way.source },
              source: way.source,
              recorder: way.recorder,
              values: [
                { name: 'of unbalanced lead', value: run.metres, unit: 'm' },
                { name: 'under the peaks on a stage', value: run.peak - pickedUp(run, 'stage'), unit: 'dB' },
                {
                  name: 'under the peaks in a quiet room',
                  value: run.peak - pickedUp(run, 'quiet'),
                  unit: 'dB',
                },
              ],
              limit: { value: UNBALANCED_METRES, unit: 'm', is: 'at most' as const },
            })),
        ),
});
