/** What parts are called for what they are. */
export const PART_FAMILIES = [
  'receiver',
  'pack',
  'microphone',
  'instrument',
  'player',
  'headphones',
  'loudspeaker',
  'lead',
  'splitter',
  'dongle',
  'adapter',
  'box',
  'interface',
  'mixer',
  'hub',
  'supply',
  'phone',
  'computer',
  'camera',
  'recorder',
] as const;
export type PartFamily = (typeof PART_FAMILIES)[number];

/** How microphones hear round about. */
export const POLAR_PATTERNS = [
  'omni',
  'cardioid',
  'supercardioid',
  'hypercardioid',
  'figure-8',
  'shotgun',
] as const;
export type PolarPattern = (typeof POLAR_PATTERNS)[number];
