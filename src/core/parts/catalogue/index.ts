import type { Part } from '../model/types.generated';
import { BOXES } from './boxes';
import { CAMERAS, RECORDERS } from './cameras';
import { COMPUTERS } from './computers';
import { DONGLES } from './dongles';
import { HOSTS } from './hosts';
import { HOST_ADAPTERS, HUBS } from './hubs';
import { INTERFACES } from './interfaces';
import { JACK_ADAPTERS } from './jack-adapters';
import { JACK_LEADS } from './jack-leads';
import { LEADS, SPLITTERS } from './leads';
import { LOUDSPEAKERS } from './loudspeakers';
import { LINE_ADAPTERS, LINE_LEADS } from './line-leads';
import { MICROPHONES } from './microphones';
import { MIXERS } from './mixers';
import { MOBILE_INTERFACES } from './mobile-interfaces';
import { placed } from './places';
import { PLAYERS } from './players';
import { PACKS, RECEIVERS } from './receivers';
import { SUPPLIES } from './supplies';
import { USB_ADAPTERS, USB_LEADS } from './usb';
import { USB_MICROPHONES } from './usb-microphones';
import { XLR_MICROPHONES } from './xlr-microphones';

/** Every shipped part, in the order in which pickers list them. */
const SHIPPED: readonly Part[] = [
  ...PACKS,
  ...RECEIVERS,
  ...MICROPHONES,
  ...XLR_MICROPHONES,
  ...USB_MICROPHONES,
  ...PLAYERS,
  ...LOUDSPEAKERS,
  ...LEADS,
  ...JACK_LEADS,
  ...JACK_ADAPTERS,
  ...LINE_LEADS,
  ...LINE_ADAPTERS,
  ...SPLITTERS,
  ...DONGLES,
  ...BOXES,
  ...MOBILE_INTERFACES,
  ...INTERFACES,
  ...MIXERS,
  ...USB_LEADS,
  ...USB_ADAPTERS,
  ...HOST_ADAPTERS,
  ...HUBS,
  ...SUPPLIES,
  ...HOSTS,
  ...COMPUTERS,
  ...CAMERAS,
  ...RECORDERS,
];

export const CATALOGUE: readonly Part[] = SHIPPED.map(placed);

const byId = new Map(CATALOGUE.map((part) => [part.id, part]));

/** The shipped part with this id, or undefined. */
export const findPart = (id: string): Part | undefined => byId.get(id);
