export type { AttachedDevice } from './bus';
export { attachedDevices } from './bus';
