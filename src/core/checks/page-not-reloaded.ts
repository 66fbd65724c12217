import { leftAlone } from './app-left-alone';
import { check } from './check';
import { CHOICE_IN_APP } from './origins';

/** A page that was loaded before the microphone was plugged in. */
export const pageNotReloaded = check({
  code: 'page-not-reloaded',
  means: 'The microphone was plugged in after the page was loaded; the page lists it only when loaded again.',
  severity: ['blocks'],
  origin: CHOICE_IN_APP,
  limit: 'What was done in the app.',
  cures: ['choice'],
  find: (facts) => leftAlone(facts, 'not-reloaded', () => ({})),
});
