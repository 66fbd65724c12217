import type { KnobSetting, SwitchSetting } from '../parts/model/types';

/** How sure a policy is, and since when. Three grades of "works", and none at all. */
export interface Evidence {
  readonly kind: 'tested by you' | 'common practice' | 'claimed' | 'untested';
  readonly date: string;
}
export const EVIDENCE_KINDS = ['tested by you', 'common practice', 'claimed', 'untested'] as const;

/** How sound comes to an app: over a headset input, or from a USB sound device. */
export const WAYS = ['headset', 'usb'] as const;
export type Way = (typeof WAYS)[number];

/** Whether an app takes what comes one way, and on what that rests. */
export interface Take {
  readonly taken: boolean;
  readonly evidence: Evidence;
}

/** What a class of recording app does with what the system offers it. */
export interface App {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  readonly takes: Readonly<Record<Way, Take>>;
  /** Stays with the host's own microphone without a word when its input is missing. */
  readonly fallsBack: boolean;
  /** `mono`: both sides of an input are summed, each at half. `tracks`: each armed track records one input number. */
  readonly channels: 'mono' | 'stereo' | 'tracks';
  /** Somebody speaks at the far end and is heard from the device's playback. */
  readonly farEnd: boolean;
  /** What its user chooses in it. */
  readonly choices: readonly (SwitchSetting | KnobSetting)[];
}

const practice: Evidence = { kind: 'common practice', date: '2026-11-23' };
const untested: Evidence = { kind: 'untested', date: '2026-11-23' };

const take = (taken: boolean, evidence = practice): Take => ({ taken, evidence });
const ANY = { headset: take(true), usb: take(true) };
const HEADSET_ONLY = { headset: take(true), usb: take(false) };

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

/** Tracks that a multitrack project here has. */
export const TRACKS = [1, 2, 3, 4] as const;

const INPUT_NUMBERS = Array.from({ length: 8 }, (_, i) => [String(i + 1), `input ${i + 1}`] as const);

const trackChoices = TRACKS.flatMap((n) => [
  choice(`track-${n}`, `Track ${n} records`, INPUT_NUMBERS, String(n)),
  choice(`arm-${n}`, `Track ${n} armed`, YES_NO, 'on'),
]);

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
  choices: [],
  ...rules,
});

/** App classes; policies differ between apps and versions, so each says on what it rests. */
export const APPS: readonly App[] = [
  app('camera-app', 'phone camera app', 'records whatever the phone routes; shows no message', {
    channels: 'stereo',
  }),
  app(
    'camera-source-menu',
    'camera app with source menu',
    'records the source chosen from its menu; has a meter',
    { fallsBack: false, channels: 'stereo', choices: [SOURCE_LIST] },
  ),
  app('recorder-app', 'recorder with a source list', 'records the source chosen from its list; has a meter', {
    fallsBack: false,
    channels: 'stereo',
    choices: [SOURCE_LIST],
  }),
  app(
    'multitrack',
    'multitrack recorder',
    'one device, and an input number for each track; a track records only while it is armed',
    {
      fallsBack: false,
      channels: 'tracks',
      choices: [...trackChoices, choice('monitor', 'Software monitoring', YES_NO, 'off')],
    },
  ),
  app(
    'browser-studio',
    'browser studio',
    'lists headset-class inputs; the page must be reloaded after plugging',
    {
      takes: HEADSET_ONLY,
      fallsBack: false,
      channels: 'mono',
      farEnd: true,
      choices: [choice('reloaded', 'Page reloaded after plugging', YES_NO, 'on'), SOURCE_LIST],
    },
  ),
  app('voice-room', 'voice room or call', 'takes a headset and nothing else; shows nothing', {
    takes: HEADSET_ONLY,
    channels: 'mono',
    farEnd: true,
  }),
  app(
    'video-call',
    'video call',
    'takes a headset, on many phones USB too: practitioners disagree, so test it',
    { takes: { headset: take(true), usb: take(true, untested) }, channels: 'mono', farEnd: true },
  ),
  app(
    'live-stream',
    'live stream with guests',
    'takes what the system routes; guests are heard on the phone alone',
    { channels: 'mono', farEnd: true },
  ),
];

export type AppId = string;

export const DEFAULT_APP: AppId = 'camera-app';

/** The app class with this id; undefined for an unknown one. */
export const findApp = (id: string): App | undefined => APPS.find((known) => known.id === id);
