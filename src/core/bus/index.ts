export type { AttachedDevice, Refusal } from './bus';
export { MOST_HUBS, attachedDevices } from './bus';
