import type { KnobSetting, SwitchSetting } from '../parts';

/** How sure a policy is, and since when. Three grades of "works", and none at all. */
export interface Evidence {
  readonly kind: 'tested by you' | 'common practice' | 'claimed' | 'untested';
  readonly date: string;
}
/** The surest first. */
export const EVIDENCE_KINDS = ['tested by you', 'common practice', 'claimed', 'untested'] as const;

/** How sound comes to an app: over a headset input, or from a USB sound device. */
export const WAYS = ['headset', 'usb'] as const;
export type Way = (typeof WAYS)[number];

/** Whether an app takes what comes one way, and on what that rests. */
export interface Take {
  readonly taken: boolean;
  readonly evidence: Evidence;
}

/** A choice that stands at one of its options. */
export interface Chosen {
  readonly choice: string;
  readonly is: string;
}

/** A choice whose options are numbers: of inputs, of tracks. */
export interface NumberChoice {
  readonly choice: string;
  readonly numbers: Readonly<Record<string, number>>;
}

/** A track of a project: which input number it records, and whether it is armed. */
export interface TrackChoices {
  readonly track: number;
  readonly input: NumberChoice;
  readonly armed: Chosen;
}

/** What the choices of an app decide. */
export interface Decides {
  /** The device's own microphone instead of what is plugged in. */
  readonly own?: Chosen;
  /** The page has not been loaded again since something was plugged in. */
  readonly stale?: Chosen;
  /** What is recorded is played back meanwhile. */
  readonly monitor?: Chosen;
  /** Both sides are kept, where it would sum them. */
  readonly stereo?: Chosen;
  /** How many tracks the project has; absent: all. */
  readonly trackCount?: NumberChoice;
  readonly tracks?: readonly TrackChoices[];
}

/** What an app lets through, Hz, and where that is from. */
export interface AppBand {
  readonly from: number;
  readonly to: number;
  readonly says: string;
}

/** What a class of recording app does with what the system offers it. */
export interface App {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  readonly takes: Readonly<Record<Way, Take>>;
  /** The same on a computer, which offers its apps every input; as elsewhere where absent. */
  readonly takesOnComputers?: Readonly<Record<Way, Take>>;
  /** Stays with the host's own microphone without a word when its input is missing. */
  readonly fallsBack: boolean;
  /** `mono`: both sides of an input are summed, each at half. `tracks`: each armed track records one input number. */
  readonly channels: 'mono' | 'stereo' | 'tracks';
  /** Somebody speaks at the far end and is heard from the device's playback. */
  readonly farEnd: boolean;
  /** There need be nobody there: who streams may do so without guests. */
  readonly mayBeAlone?: boolean;
  /** One way over its network, milliseconds: typical, and as it spreads; absent where nobody is at the far end. */
  readonly network?: { readonly typical: number; readonly least: number; readonly most: number };
  /** It says that it takes out of its input what it plays, and on what that rests; absent where it leaves all in. */
  readonly cancelsEcho?: Evidence;
  /** What a session with it asks of the host. */
  readonly load: 'sound' | 'film' | 'stream';
  /** Absent where it passes on all that it is given, or differs from app to app. */
  readonly band?: AppBand;
  /** What its user chooses in it, and what that decides. */
  readonly choices: readonly (SwitchSetting | KnobSetting)[];
  readonly decides: Decides;
}

const practice: Evidence = { kind: 'common practice', date: '2026-11-23' };
const claimed: Evidence = { kind: 'claimed', date: '2026-11-26' };
const untested: Evidence = { kind: 'untested', date: '2026-11-23' };

/** A call 60 to 250 ms one way, a browser studio 100 to 300. Typical. */
const CALL = { typical: 120, least: 60, most: 250 };
const STUDIO = { typical: 180, least: 100, most: 300 };

const take = (taken: boolean, evidence = practice): Take => ({ taken, evidence });
const ANY = { headset: take(true), usb: take(true) };
const HEADSET_ONLY = { headset: take(true), usb: take(false) };

/** A voice app by the internet; an ordinary telephone call has less. */
const WIDE_BAND: AppBand = {
  from: 50,
  to: 7000,
  says: 'wide-band voice, 50 Hz to 7 kHz (ITU-T G.722; from memory); an ordinary telephone call has 300 Hz to 3.4 kHz (ITU-T G.712; from memory)',
};

const choice = (
  id: string,
  name: string,
  options: readonly (readonly [id: string, name: string])[],
  initial: string,
): SwitchSetting => ({
  kind: 'switch',
  id,
  name,
  options: options.map(([option, label]) => ({ id: option, name: label })),
  initial,
});

const YES_NO = [
  ['on', 'yes'],
  ['off', 'no'],
] as const;

const SOURCE_LIST = choice(
  'source',
  'Source chosen',
  [
    ['external', 'what is plugged in'],
    ['own', 'own microphone'],
  ],
  'external',
);
const OWN: Chosen = { choice: 'source', is: 'own' };

/** The most tracks that a project has here, and the most inputs of a device that they choose among. */
const MOST_TRACKS = 8;
const MOST_INPUTS = 8;
const USUAL_TRACKS = 4;

const upTo = (most: number): number[] => Array.from({ length: most }, (_, i) => i + 1);
const numbered = (most: number): Record<string, number> =>
  Object.fromEntries(upTo(most).map((n) => [String(n), n]));

const INPUT_NUMBERS = upTo(MOST_INPUTS).map((n) => [String(n), `input ${n}`] as const);

const trackChoices = upTo(MOST_TRACKS).flatMap((n) => [
  choice(`track-${n}`, `Track ${n} records`, INPUT_NUMBERS, String(n)),
  choice(`arm-${n}`, `Track ${n} armed`, YES_NO, 'on'),
]);

const TRACKS: readonly TrackChoices[] = upTo(MOST_TRACKS).map((n) => ({
  track: n,
  input: { choice: `track-${n}`, numbers: numbered(MOST_INPUTS) },
  armed: { choice: `arm-${n}`, is: 'on' },
}));

const TRACK_COUNT = choice(
  'tracks',
  'Tracks in the project',
  upTo(MOST_TRACKS).map((n) => [String(n), String(n)] as const),
  String(USUAL_TRACKS),
);

type Rules = Omit<App, 'id' | 'name' | 'says'>;
const app = (
  id: string,
  name: string,
  says: string,
  rules: Partial<Rules> & Pick<Rules, 'channels'>,
): App => ({
  id,
  name,
  says,
  takes: ANY,
  fallsBack: true,
  farEnd: false,
  load: 'sound',
  choices: [],
  decides: {},
  ...rules,
});

/** App classes; policies differ between apps and versions, so each says on what it rests. The first is the usual one. */
export const APPS: readonly App[] = [
  app('camera-app', 'phone camera app', 'records whatever the phone routes; shows no message', {
    channels: 'stereo',
    load: 'film',
  }),
  app(
    'camera-source-menu',
    'camera app with source menu',
    'records the source chosen from its menu; has a meter',
    { fallsBack: false, load: 'film', channels: 'stereo', choices: [SOURCE_LIST], decides: { own: OWN } },
  ),
  app('recorder-app', 'recorder with a source list', 'records the source chosen from its list; has a meter', {
    fallsBack: false,
    channels: 'stereo',
    choices: [SOURCE_LIST],
    decides: { own: OWN },
  }),
  app(
    'multitrack',
    'multitrack recorder',
    'one device, and an input number for each track; a track records only while it is armed',
    {
      fallsBack: false,
      channels: 'tracks',
      choices: [TRACK_COUNT, ...trackChoices, choice('monitor', 'Software monitoring', YES_NO, 'off')],
      decides: {
        monitor: { choice: 'monitor', is: 'on' },
        trackCount: { choice: 'tracks', numbers: numbered(MOST_TRACKS) },
        tracks: TRACKS,
      },
    },
  ),
  app(
    'browser-studio',
    'browser studio',
    'lists headset-class inputs; the page must be reloaded after plugging',
    {
      takes: HEADSET_ONLY,
      takesOnComputers: ANY,
      fallsBack: false,
      channels: 'mono',
      farEnd: true,
      network: STUDIO,
      load: 'stream',
      choices: [choice('reloaded', 'Page reloaded after plugging', YES_NO, 'on'), SOURCE_LIST],
      decides: { own: OWN, stale: { choice: 'reloaded', is: 'off' } },
    },
  ),
  app('voice-room', 'voice room or call', 'takes a headset and nothing else; shows nothing', {
    takes: HEADSET_ONLY,
    takesOnComputers: ANY,
    channels: 'mono',
    farEnd: true,
    network: CALL,
    cancelsEcho: claimed,
    load: 'stream',
    band: WIDE_BAND,
  }),
  app(
    'video-call',
    'video call',
    'takes a headset, on many phones USB too: practitioners disagree, so test it; on a computer it takes what the user picks',
    {
      takes: { headset: take(true), usb: take(true, untested) },
      takesOnComputers: ANY,
      channels: 'mono',
      farEnd: true,
      network: CALL,
      cancelsEcho: claimed,
      load: 'stream',
    },
  ),
  app(
    'live-stream',
    'live stream with guests',
    'takes what the system routes; guests are heard on the phone alone',
    {
      channels: 'mono',
      farEnd: true,
      mayBeAlone: true,
      network: CALL,
      load: 'stream',
      choices: [
        choice(
          'sides',
          'The stream is',
          [
            ['mono', 'mono'],
            ['stereo', 'stereo'],
          ],
          'mono',
        ),
      ],
      decides: { stereo: { choice: 'sides', is: 'stereo' } },
    },
  ),
];

export type AppId = string;

/** The app class that records where none is named. */
export const DEFAULT_APP: AppId = APPS[0]?.id ?? '';

/** The app class with this id; undefined for an unknown one. */
export const findApp = (id: string): App | undefined => APPS.find((known) => known.id === id);
