export type { AttachedDevice, Refusal } from './bus';
export { MOST_HUBS, attachedDevices, livePowered } from './bus';
export { FULL_SPEED_BYTES, channelBytes } from './stream';
