export type { Drawer } from '../drawer';
export type { Fix } from './fix';
export { editsOf } from './fix';
export type { Fixes, Spent } from './fixes';
export { cleaningEdits, cures, fixesFor, searchFixes } from './fixes';
export type { ProvedAdd, ProvedAdds } from './proved-adds';
export { proveAdds } from './proved-adds';
export type { Option } from './options';
export { moveOptions, outcomesOf, swapOptions } from './options';
