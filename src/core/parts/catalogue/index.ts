import type { Part } from '../types';
import { DONGLES, HOSTS } from './hosts';
import { LEADS, SPLITTERS } from './leads';
import { MICROPHONES } from './microphones';
import { RECEIVERS } from './receivers';

/** Every shipped part, in the order in which pickers list them. */
export const CATALOGUE: readonly Part[] = [
  ...RECEIVERS,
  ...MICROPHONES,
  ...LEADS,
  ...SPLITTERS,
  ...DONGLES,
  ...HOSTS,
];

const byId = new Map(CATALOGUE.map((part) => [part.id, part]));

/** The shipped part with this id, or undefined. */
export const findPart = (id: string): Part | undefined => byId.get(id);
