import type { Rig } from '../../core/rig';
import { nameOf, sayMinutes } from '../../core/words';
import type { FeedView, PowerView } from '../../core/views';

export const sayCurrent = (milliamps: number): string =>
  milliamps >= 1000 ? `${(milliamps / 1000).toFixed(1)} A` : `${Math.round(milliamps)} mA`;

const sayVolts = (volts: number): string => `${volts.toFixed(2)} V`;

/** "1.5 A of 3.0 A from the charger, 4.57 V". */
function sayFeed(rig: Rig, { from, takes, gives, refused, volts }: FeedView): string {
  const giver = nameOf(rig, from.part);
  if (gives.most <= 0) return `nothing from ${giver}`;
  if (refused) return `refused by ${giver}, which gives ${sayCurrent(gives.most)}`;
  return `${sayCurrent(takes)} of ${sayCurrent(gives.most)} from ${giver}, ${sayVolts(volts.typical)}`;
}

/** Whether a host gains or loses while it works. */
function sayNet(view: PowerView, placed: string): string[] {
  const net = view.net.find(({ host }) => host === placed);
  const store = view.stores.find((one) => one.placed === placed);
  if (!net || !store || store.comes === 0) return [];
  return [
    net.milliamps >= 0
      ? `charges, +${sayCurrent(net.milliamps)}`
      : `empties all the same, −${sayCurrent(-net.milliamps)}`,
  ];
}

/** How long its battery carries it. */
function sayBattery(view: PowerView, placed: string): string[] {
  const one = view.discharge.find((each) => each.placed === placed);
  if (!one) return [];
  return one.flat === undefined ? [] : [`its battery lasts about ${sayMinutes(one.flat)}`];
}

/** What is said of a part's supply, one after the other; nothing of what needs none. */
export function sayRow(rig: Rig, placed: string, fedBy: readonly FeedView[], view: PowerView): string[] {
  const mains = view.supplies.find((one) => one.placed === placed && one.is === 'mains');
  const phantom = view.phantoms.filter((one) => one.placed === placed && one.milliamps > 0.01);
  return [
    ...(mains
      ? [
          `on the mains${mains.place === undefined ? '' : `, ${mains.place}`}, ${mains.class === 'earthed' ? 'earthed' : 'two pins'}`,
        ]
      : []),
    ...fedBy
      .filter(({ takes, refused, gives }) => takes > 0 || refused || gives.most <= 0)
      .map((feed) => sayFeed(rig, feed)),
    ...phantom.map(({ volts, milliamps }) => `gives ${volts} V phantom, ${milliamps.toFixed(1)} mA`),
    ...sayNet(view, placed),
    ...sayBattery(view, placed),
  ];
}
