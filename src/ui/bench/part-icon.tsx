import { Cable, Camera, Headphones, Mic, Plug, RadioReceiver, Smartphone, Split } from 'lucide-react';
import type { PartFamily } from '../../core/parts';

const ICONS = {
  receiver: RadioReceiver,
  microphone: Mic,
  headphones: Headphones,
  lead: Cable,
  splitter: Split,
  dongle: Plug,
  phone: Smartphone,
  camera: Camera,
} as const satisfies Record<PartFamily, unknown>;

/** Beside the part's name, never without it. */
export function PartIcon({ family }: { family: PartFamily }) {
  const Icon = ICONS[family];
  return <Icon size={28} strokeWidth={1.75} aria-hidden className="flex-none" />;
}
