import type { Part } from '../types';
import { DONGLES, HOSTS } from './hosts';
import { INTERFACES } from './interfaces';
import { LEADS, SPLITTERS } from './leads';
import { LINE_LEADS } from './line-leads';
import { MICROPHONES } from './microphones';
import { MIXERS } from './mixers';
import { RECEIVERS } from './receivers';
import { USB_PARTS } from './usb';
import { XLR_MICROPHONES } from './xlr-microphones';

/** Every shipped part, in the order in which pickers list them. */
export const CATALOGUE: readonly Part[] = [
  ...RECEIVERS,
  ...MICROPHONES,
  ...XLR_MICROPHONES,
  ...LEADS,
  ...LINE_LEADS,
  ...SPLITTERS,
  ...DONGLES,
  ...INTERFACES,
  ...MIXERS,
  ...USB_PARTS,
  ...HOSTS,
];

const byId = new Map(CATALOGUE.map((part) => [part.id, part]));

/** The shipped part with this id, or undefined. */
export const findPart = (id: string): Part | undefined => byId.get(id);
