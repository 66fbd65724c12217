import { check } from './check';
import { missedTracks } from './missed-tracks';
import { CHOICE_IN_APP } from './origins';

/** A track has the right input and is not armed. */
export const trackNotArmed = check({
  code: 'track-not-armed',
  means: 'A track has the right input and is not armed, so it records nothing.',
  severity: ['blocks'],
  origin: CHOICE_IN_APP,
  limit: 'What was chosen in the app.',
  cures: ['named', 'choice'],
  find: (facts) => missedTracks(facts, (waiting) => waiting?.armedBy),
});
