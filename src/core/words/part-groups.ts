import type { PartFamily } from '../parts';

/** What a picker writes over parts of a family. */
export const FAMILY_HEADING: Record<PartFamily, string> = {
  receiver: 'Wireless receivers',
  pack: 'Wireless packs',
  microphone: 'Microphones',
  instrument: 'Instruments',
  player: 'Players',
  headphones: 'Headphones and headsets',
  loudspeaker: 'Loudspeakers',
  lead: 'Leads',
  splitter: 'Splitters',
  dongle: 'Dongles',
  adapter: 'Adapters',
  box: 'Boxes in the lead',
  interface: 'Interfaces',
  mixer: 'Mixers',
  hub: 'Hubs',
  supply: 'Power',
  phone: 'Phones and tablets',
  computer: 'Computers',
  camera: 'Cameras',
  recorder: 'Recorders',
};
