import { leftAlone } from './app-left-alone';
import { check } from './check';

/** An input that the host offers and whose class of app takes only other ways. */
export const appDoesNotTake = check({
  code: 'app-does-not-take',
  means:
    'The host offers the input, but this class of app takes only headsets (voice rooms, browser studios).',
  severity: ['blocks'],
  origin: { kind: 'common practice', text: 'policy of this app class' },
  limit: 'The policy of the app class, with its evidence and date.',
  cures: ['link', 'plug', 'app'],
  find: (facts) =>
    leftAlone(facts, 'not-taken', ({ kind, date }) => ({
      origin: { kind: 'common practice', text: `policy of this app class, ${kind}, ${date}` },
    })),
});
