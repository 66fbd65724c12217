import { check } from './check';
import { missedTracks } from './missed-tracks';
import { CHOICE_IN_APP } from './origins';

/** The device hears the source, and no track of the project records that input of it. */
export const wrongInputNumber = check({
  code: 'wrong-input-number',
  means: 'The device hears the source, but no track of the project records that input of it.',
  severity: ['blocks'],
  origin: CHOICE_IN_APP,
  limit: 'What was chosen in the app.',
  cures: ['named', 'choice', 'plug'],
  find: (facts) => missedTracks(facts, (waiting, spare) => (waiting ? undefined : spare)),
});
