import type { Finding } from '../../checks';
import { appOf } from '../../engine/flow';
import { laidParts, type Rig } from '../../rig';
import type { FindingWords } from '../finding-words';
import { limitFigure, show } from '../measured';
import type { Sentence } from '../sentence';
import { are, capital, ears, is, nameOf, noun, numberWord, socketName, who } from '../words';

/** What the setting that a finding names is called, on the part or in its app. */
function settingName(rig: Rig, f: Finding): string {
  const laid = laidParts(rig).find((l) => l.placed.id === f.where.part);
  const app = laid && appOf(laid);
  const settings = [...(laid?.part.settings ?? []), ...(app?.choices ?? [])];
  return settings.find((s) => s.id === f.setting)?.name ?? f.setting ?? 'switch';
}

const sayApp = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.recorder))} offers ${nameOf(rig, f.other)} to its apps, and this class of app takes only a headset.`,
];

const sayOwnChosen = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.recorder))} offers ${nameOf(rig, f.other)}, and the app’s source list stands at its own microphone.`,
];

const sayNotReloaded = (rig: Rig, f: Finding): Sentence => [
  `The page was loaded before ${nameOf(rig, f.other)} was plugged in. Reload it and choose again.`,
];

const saySwitchedOff = (rig: Rig, f: Finding): Sentence => [
  `${capital(who(rig, f))} ${is(f)} kept out by a switch: “${settingName(rig, f)}” of ${nameOf(rig, f.other)}.`,
];

const sayInputNumber = (rig: Rig, f: Finding): Sentence => [
  `${capital(who(rig, f))} ${are(f, 'stands', 'stand')} at input `,
  ...f.values.map(show),
  ' of the device, and no track of the project records that input.',
];

const sayNotArmed = (rig: Rig, f: Finding): Sentence => [
  `${capital(who(rig, f))} ${are(f, 'stands', 'stand')} at input `,
  ...f.values.map(show),
  `, and the track for it is not armed (“${settingName(rig, f)}”).`,
];

const saySharesTrack = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.source))} and ${noun(rig, f.other)} come to ${noun(rig, f.recorder)} on the same sides or tracks. Of ${noun(rig, f.source)} alone there ${f.values[0]?.value === 1 ? 'is' : 'are'} ${numberWord(f.values[0]?.value ?? 0)}, where each was to have one of its own.`,
];

const sayReturns = (rig: Rig, f: Finding): Sentence => [
  `What ${noun(rig, f.recorder)} plays comes back into its input at `,
  ...f.values.map(show),
  ' for full scale; ',
  limitFigure(f),
  ' keeps the far end from hearing itself.',
];

const sayGuests = (rig: Rig, f: Finding): Sentence => [
  `Those at the far end are heard from ${noun(rig, f.recorder)} alone, and ${ears(rig, f.other)} are plugged in ahead of it.`,
];

const sayMoved = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.recorder))} plays back through ${nameOf(rig, f.other)} now; its own output, where the headphones are, is still.`,
];

const sayPlaybackCancels = (rig: Rig, f: Finding): Sentence => [
  `The return of ${nameOf(rig, f.other)} touches nothing, so left plays against right: of a voice in the middle `,
  ...f.values.map(show),
  ' is left, and what remains sounds hollow.',
];

const sayMonitorOff = (rig: Rig, f: Finding): Sentence => [
  `${capital(ears(rig, f.other))} do not hear ${who(rig, f)}: “${settingName(rig, f)}” of ${nameOf(rig, f.where.part)} is off.`,
];

const sayMonitorUnpowered = (rig: Rig, f: Finding): Sentence => [
  `${capital(ears(rig, f.other))} hear nothing: the headphone amplifier of ${noun(rig, f.where.part)} lives by its ${socketName(rig, { part: f.where.part ?? '', port: f.where.port ?? '' })}, and nothing feeds that.`,
];

export const APP_WORDS = {
  'nothing-intended': {
    title: 'Nothing chosen to record',
    means: 'The rig names no source or no recorder, so there is nothing to judge.',
    says: () => ['Choose which part is the source and which one records.'],
  },
  'app-does-not-take': {
    title: 'The app does not take it',
    means:
      'The host offers the input, but this class of app takes only headsets (voice rooms, browser studios).',
    says: sayApp,
  },
  'own-microphone-chosen': {
    title: 'Own microphone chosen in the app',
    means: 'What is plugged in is offered, but the app’s source list stands at the device’s own microphone.',
    says: sayOwnChosen,
  },
  'page-not-reloaded': {
    title: 'Page not reloaded',
    means:
      'The microphone was plugged in after the page was loaded; the page lists it only when loaded again.',
    says: sayNotReloaded,
  },
  'switched-off': {
    title: 'Switched off on the way',
    means: 'A mute, a channel switch or an answer to a question keeps the source out.',
    says: saySwitchedOff,
  },
  'wrong-input-number': {
    title: 'Wrong input number',
    means: 'The device hears the source, but no track of the project records that input of it.',
    says: sayInputNumber,
  },
  'track-not-armed': {
    title: 'Track not armed',
    means: 'A track has the right input and is not armed, so it records nothing.',
    says: sayNotArmed,
  },
  'shares-track': {
    title: 'Two sources on one track',
    means:
      'The rig asks for a side or track of its own for each source, and two of them cannot be told apart later.',
    says: saySharesTrack,
  },
  'playback-returns': {
    title: 'The far end hears itself',
    means:
      'What the device plays comes back into its own input: the caller’s channel stands in the caller’s own send. A send without it is a mix-minus.',
    says: sayReturns,
  },
  'guests-not-heard': {
    title: 'Nobody hears the far end',
    means: 'Headphones are in the rig, but none of them is on the side of the device that plays the far end.',
    says: sayGuests,
  },
  'playback-moved': {
    title: 'Playback has moved',
    means:
      'The headphones are in the device’s own output, and its playback comes out of the sound device it took.',
    says: sayMoved,
  },
  'playback-cancels': {
    title: 'Hollow in the headphones',
    means:
      'The common return of both earpieces touches nothing, so each side plays against the other: what both have in common, such as a voice in the middle, is gone.',
    says: sayPlaybackCancels,
  },
  'monitor-off': {
    title: 'Monitoring is off',
    means: 'The headphones would hear the source if a monitor switch were on.',
    says: sayMonitorOff,
  },
  'monitor-unpowered': {
    title: 'Headphone amplifier without power',
    means: 'The microphone works without it; its own headphone socket does not.',
    says: sayMonitorUnpowered,
  },
} satisfies Readonly<Record<string, FindingWords>>;
