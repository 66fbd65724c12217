import { standIns, switchesOf, type Part, type PowerSource } from '../../parts';

const switchOf = (source: PowerSource): string[] => ('setting' in source ? [source.setting] : []);

/** Switches of a part that feed something or spare it current: its phantom supply, its own power, its lights, the sockets of a hub. */
export const feedingSwitches = (part: Part): string[] => [
  ...part.circuit.flatMap((e) => (e.kind === 'supply' ? switchesOf(e.volts) : [])),
  ...(part.power ?? []).flatMap(switchOf),
  ...switchesOf(part.bus?.draw),
  ...switchesOf(part.bus?.takes),
  ...(part.hub?.supplied ?? []).flatMap(switchOf).filter((id) => !standIns(part).has(id)),
  ...(part.hub?.sockets ?? []).flatMap(({ feeds }) =>
    typeof feeds === 'object' && 'setting' in feeds ? [feeds.setting] : [],
  ),
];
