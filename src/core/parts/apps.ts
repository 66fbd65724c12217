/** How sure a policy is, and since when. */
export interface Evidence {
  readonly kind: 'tested by you' | 'common practice' | 'claimed' | 'untested';
  readonly date: string;
}

/** How sound comes to an app: over a headset input, or from a USB sound device. */
export type Way = 'headset' | 'usb';

/** What a class of recording app does with what the system offers it. */
export interface App {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  readonly takes: readonly Way[];
  /** Stays with the host's own microphone without a word when its input is missing. */
  readonly fallsBack: boolean;
  /** `mono`: both sides of an input are summed, each at half. */
  readonly channels: 'mono' | 'stereo';
  readonly evidence: Evidence;
}

const practice: Evidence = { kind: 'common practice', date: '2026-11-23' };
const untested: Evidence = { kind: 'untested', date: '2026-11-23' };

const app = (
  id: string,
  name: string,
  says: string,
  rules: Pick<App, 'takes' | 'fallsBack' | 'channels'>,
  evidence = practice,
): App => ({
  id,
  name,
  says,
  ...rules,
  evidence,
});

const ANY: readonly Way[] = ['headset', 'usb'];

/** App classes; policies differ between apps and versions, so each says on what it rests. */
export const APPS: readonly App[] = [
  app('camera-app', 'phone camera app', 'records whatever the phone routes; shows no message', {
    takes: ANY,
    fallsBack: true,
    channels: 'stereo',
  }),
  app(
    'camera-source-menu',
    'camera app with source menu',
    'records the source chosen from its menu; has a meter',
    {
      takes: ANY,
      fallsBack: false,
      channels: 'stereo',
    },
  ),
  app('recorder-app', 'recorder with a source list', 'records the source chosen from its list; has a meter', {
    takes: ANY,
    fallsBack: false,
    channels: 'stereo',
  }),
  app(
    'browser-studio',
    'browser studio',
    'lists headset-class inputs; the page must be reloaded after plugging',
    {
      takes: ['headset'],
      fallsBack: false,
      channels: 'mono',
    },
  ),
  app('voice-room', 'voice room or call', 'takes a headset and nothing else; shows nothing', {
    takes: ['headset'],
    fallsBack: true,
    channels: 'mono',
  }),
  app(
    'video-call',
    'video call',
    'takes a headset, on many phones USB too: practitioners disagree, so test it',
    { takes: ANY, fallsBack: true, channels: 'mono' },
    untested,
  ),
  app(
    'live-stream',
    'live stream with guests',
    'takes what the system routes; guests are heard on the phone alone',
    {
      takes: ANY,
      fallsBack: true,
      channels: 'mono',
    },
  ),
];

export type AppId = string;

export const DEFAULT_APP: AppId = 'camera-app';

/** The app class with this id; undefined for an unknown one. */
export const findApp = (id: string): App | undefined => APPS.find((known) => known.id === id);
