import { findApp } from '../../apps';
import type { Finding } from '../../checks';
import type { Rig } from '../../rig';
import type { FindingWords } from '../finding-words';
import { limitFigure, show } from '../measured';
import type { Sentence } from '../sentence';
import { settingName } from '../setting-name';
import { are, capital, ears, is, nameOf, noun, numberWord, socketName, who } from '../words';

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

/** The app on a device says that it cancels echoes, and nobody has tried it. */
function claimsToCancel(rig: Rig, host: string | undefined): boolean {
  const app = rig.parts.find(({ id }) => id === host)?.app;
  return findApp(app ?? '')?.cancelsEcho?.kind === 'claimed';
}

const sayReturns = (rig: Rig, f: Finding): Sentence => [
  `What ${noun(rig, f.recorder)} plays comes back into its input at `,
  ...f.values.slice(0, 1).map(show),
  ' for full scale; ',
  limitFigure(f),
  ' keeps the far end from hearing itself',
  ...f.values.slice(1).flatMap((m) => (m.value > 0 ? [', here ', show(m), ' late, typical'] : [])),
  '.',
  ...(claimsToCancel(rig, f.recorder) ? [' Such an app claims to cancel echoes: do not rely on it.'] : []),
];

const sayDeaf = (rig: Rig, f: Finding): Sentence => [
  f.mutual === true
    ? `${capital(nameOf(rig, f.recorder))} and ${nameOf(rig, f.other)} do not hear each other: the channel of each belongs in the send of the other.`
    : `${capital(nameOf(rig, f.recorder))} does not hear ${nameOf(rig, f.other)}: the channel of the one belongs in the send of the other.`,
];

const sayTwice = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.source))} is heard past the recorder and once more through its app, `,
  ...f.values.map(show),
  ' apart; ',
  limitFigure(f),
  ' would pass for one.',
];

const sayHowls = (rig: Rig, f: Finding): Sentence => {
  const [margin, apart, octave] = f.values;
  const over = margin && margin.value <= 0;
  return [
    `${capital(nameOf(rig, f.other))} hears ${nameOf(rig, f.where.part)}, `,
    ...(apart ? [show(apart)] : []),
    over
      ? ' away, which plays it: what goes round comes back louder, margin '
      : ' away, which plays it: margin to howling ',
    ...(margin ? [show(margin)] : []),
    ...(octave ? [', least in the octave of ', show(octave)] : []),
    '; ',
    limitFigure(f),
    ' is wanted.',
  ];
};

const sayOpen = (rig: Rig, f: Finding): Sentence => [
  `${capital(nameOf(rig, f.other))} hears the far end out of ${nameOf(rig, f.where.part)} and sends it back, `,
  ...f.values.slice(0, 1).map(show),
  ' under the voice, ',
  ...f.values.slice(1).map(show),
  ' late; ',
  limitFigure(f),
  ' is wanted at that delay. Headphones end it.',
];

const sayGuestsLow = (rig: Rig, f: Finding): Sentence => [
  `Those at the far end come from ${noun(rig, f.recorder)} into ${ears(rig, f.other)} at `,
  ...f.values.map(show),
  '; it takes ',
  limitFigure(f),
  ' to hear them. Turn up what plays them.',
];

const sayGuestsAhead = (rig: Rig, f: Finding): Sentence => [
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

const sayFollows = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.recorder))} hears by a send of ${nameOf(rig, f.other)} that comes after the faders: pull one for the stream, and the caller loses that voice, too.`,
];

const sayIdleHeadset = (rig: Rig, f: Finding): Sentence => [
  `One hears by ${nameOf(rig, f.where.part)} in ${nameOf(rig, f.other)}; its own microphone goes nowhere there.`,
];

export const APP_WORDS = {
  'nothing-intended': {
    title: 'Nothing chosen to record',
    says: () => ['Choose which part is the source and which one records.'],
  },
  'app-does-not-take': {
    title: 'The app does not take it',
    says: sayApp,
  },
  'own-microphone-chosen': {
    title: 'Own microphone chosen in the app',
    says: sayOwnChosen,
  },
  'page-not-reloaded': {
    title: 'Page not reloaded',
    says: sayNotReloaded,
  },
  'switched-off': {
    title: 'Switched off on the way',
    says: saySwitchedOff,
  },
  'wrong-input-number': {
    title: 'Wrong input number',
    says: sayInputNumber,
  },
  'track-not-armed': {
    title: 'Track not armed',
    says: sayNotArmed,
  },
  'shares-track': {
    title: 'Two sources on one track',
    says: saySharesTrack,
  },
  'playback-returns': {
    title: 'The far end hears itself',
    says: sayReturns,
  },
  'callers-deaf': {
    title: 'Callers deaf to one another',
    says: sayDeaf,
  },
  'send-follows-fader': {
    title: 'The send follows the faders',
    says: sayFollows,
  },
  'headset-mic-idle': {
    title: 'The headset’s microphone is idle',
    says: sayIdleHeadset,
  },
  'heard-twice': {
    title: 'Heard twice',
    says: sayTwice,
  },
  howls: {
    title: 'It howls',
    says: sayHowls,
  },
  'near-howling': {
    title: 'Near howling',
    says: sayHowls,
  },
  'speakers-open': {
    title: 'A loudspeaker in the call',
    says: sayOpen,
  },
  'guests-not-heard': {
    title: 'Nobody hears the far end',
    says: (rig, f) => (f.values.length > 0 ? sayGuestsLow(rig, f) : sayGuestsAhead(rig, f)),
  },
  'playback-moved': {
    title: 'Playback has moved',
    says: sayMoved,
  },
  'playback-cancels': {
    title: 'Hollow in the headphones',
    says: sayPlaybackCancels,
  },
  'monitor-off': {
    title: 'Monitoring is off',
    says: sayMonitorOff,
  },
  'monitor-unpowered': {
    title: 'Headphone amplifier without power',
    says: sayMonitorUnpowered,
  },
} satisfies Readonly<Record<string, FindingWords>>;
