export type { HeardDevice, HeardSource, Listener } from './listeners';
export { HEARD_LEVEL, listeners, playbackPlaces } from './listeners';
