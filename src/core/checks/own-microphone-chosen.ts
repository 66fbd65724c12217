import { leftAlone } from './app-left-alone';
import { check } from './check';
import { CHOICE_IN_APP } from './origins';

/** The app’s source list stands at the host’s own microphone. */
export const ownMicrophoneChosen = check({
  code: 'own-microphone-chosen',
  means: 'What is plugged in is offered, but the app’s source list stands at the device’s own microphone.',
  severity: ['blocks'],
  origin: CHOICE_IN_APP,
  limit: 'What was chosen in the app.',
  cures: ['choice'],
  find: (facts) => leftAlone(facts, 'own-chosen', () => ({})),
});
