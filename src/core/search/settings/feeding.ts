import { standIns, type Part, type PowerSource, type Quantity } from '../../parts';

const settingsOf = (quantity: Quantity | undefined): string[] =>
  typeof quantity === 'object' && 'setting' in quantity ? [quantity.setting] : [];
const switchOf = (source: PowerSource): string[] => ('setting' in source ? [source.setting] : []);

/** Switches of a part that feed something: its phantom supply, its own power, the sockets of a hub. */
export const feedingSwitches = (part: Part): string[] => [
  ...part.circuit.flatMap((e) => (e.kind === 'supply' ? settingsOf(e.volts) : [])),
  ...(part.power ?? []).flatMap(switchOf),
  ...(part.hub?.supplied ?? []).flatMap(switchOf).filter((id) => !standIns(part).has(id)),
  ...(part.hub?.sockets ?? []).flatMap(({ feeds }) =>
    typeof feeds === 'object' && 'setting' in feeds ? [feeds.setting] : [],
  ),
];
