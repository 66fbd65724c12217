import type { Part, PowerSource, Quantity } from '../../parts';

const settingsOf = (quantity: Quantity | undefined): string[] =>
  typeof quantity === 'object' && 'setting' in quantity ? [quantity.setting] : [];
const switchOf = (source: PowerSource): string[] => ('setting' in source ? [source.setting] : []);

/** A switch that says what is in a socket beside it stands for a thing, which is to be put there. */
function suppliesOf({ hub }: Part): readonly PowerSource[] {
  const supplied = hub?.supplied ?? [];
  return supplied.some((source) => 'port' in source) ? [] : supplied;
}

/** Switches of a part that feed something: its phantom supply, its own power, the sockets of a hub. */
export const feedingSwitches = (part: Part): string[] => [
  ...part.circuit.flatMap((e) => (e.kind === 'supply' ? settingsOf(e.volts) : [])),
  ...(part.power ?? []).flatMap(switchOf),
  ...suppliesOf(part).flatMap(switchOf),
];
