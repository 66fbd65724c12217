import {
  BatteryCharging,
  Box,
  Cable,
  Camera,
  Disc3,
  Guitar,
  Headphones,
  Laptop,
  ListTree,
  Mic,
  Plug,
  RadioReceiver,
  RadioTower,
  SlidersHorizontal,
  SlidersVertical,
  Smartphone,
  Speaker,
  Split,
  SquareActivity,
  Unplug,
} from 'lucide-react';
import type { PartFamily } from '../../core/parts';

const ICONS = {
  receiver: RadioReceiver,
  pack: RadioTower,
  instrument: Guitar,
  player: Disc3,
  box: Box,
  supply: BatteryCharging,
  computer: Laptop,
  recorder: SquareActivity,
  microphone: Mic,
  headphones: Headphones,
  loudspeaker: Speaker,
  lead: Cable,
  splitter: Split,
  dongle: Plug,
  adapter: Unplug,
  interface: SlidersHorizontal,
  mixer: SlidersVertical,
  hub: ListTree,
  phone: Smartphone,
  camera: Camera,
} as const satisfies Record<PartFamily, unknown>;

/** Beside the part's name, never without it. */
export function PartIcon({ family, size = 28 }: { family: PartFamily; size?: number }) {
  const Icon = ICONS[family];
  return <Icon size={size} strokeWidth={1.75} aria-hidden className="flex-none" />;
}
