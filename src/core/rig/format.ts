import type { Rig } from './types.generated';

export const RIG_FORMAT: Rig['format'] = 'symplex-rig';
export const RIG_VERSION: Rig['version'] = 1;
