/** Recording apps by class. Policies follow common practice; their evidence is "common practice" throughout. */
export const APPS = [
  {
    id: 'camera-app',
    name: 'phone camera app',
    fallsBack: true,
    says: 'records whatever the phone routes; shows no message',
  },
  {
    id: 'recorder-app',
    name: 'recorder with a source list',
    fallsBack: false,
    says: 'records the source chosen from its list',
  },
] as const;

export type AppId = (typeof APPS)[number]['id'];
export type App = (typeof APPS)[number];

export const DEFAULT_APP: AppId = 'camera-app';

/** The app class with this id; undefined for an unknown one. */
export const findApp = (id: string): App | undefined => APPS.find((app) => app.id === id);
