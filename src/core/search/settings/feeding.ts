import { standIns, type Part, type PowerSource, type Quantity } from '../../parts';

const settingsOf = (quantity: Quantity | undefined): string[] =>
  typeof quantity === 'object' && 'setting' in quantity ? [quantity.setting] : [];
const switchOf = (source: PowerSource): string[] => ('setting' in source ? [source.setting] : []);

/** Switches of a part that feed something or spare it current: its phantom supply, its own power, its lights, the sockets of a hub. */
export const feedingSwitches = (part: Part): string[] => [
  ...part.circuit.flatMap((e) => (e.kind === 'supply' ? settingsOf(e.volts) : [])),
  ...(part.power ?? []).flatMap(switchOf),
  ...settingsOf(part.bus?.draw),
  ...settingsOf(part.bus?.takes),
  ...(part.hub?.supplied ?? []).flatMap(switchOf).filter((id) => !standIns(part).has(id)),
  ...(part.hub?.sockets ?? []).flatMap(({ feeds }) =>
    typeof feeds === 'object' && 'setting' in feeds ? [feeds.setting] : [],
  ),
];
