export type { Drawer, Fix } from './fixes';
export { cures, fixesFor } from './fixes';
export type { Option } from './options';
export { moveOptions, outcomesOf, swapOptions } from './options';
