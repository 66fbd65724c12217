import { findApp, DEFAULT_APP } from '../../apps';
import { figureOf, spreadOf } from '../circuit';
import type { Facts } from '../facts';
import { settingOf, type LaidPart, type Rig, type SessionLoad } from '../../rig';
import { supplyGraph } from './feeds';

/** Typical, least and most of a figure. */
export interface Range {
  readonly typical: number;
  readonly least: number;
  readonly most: number;
}

/** What a phone or tablet takes for itself, watts: sound alone under 1, filming 2 to 4, streaming 3 to 6. Typical. */
const LOADS: Readonly<Record<SessionLoad, Range>> = {
  sound: { typical: 0.8, least: 0.5, most: 1 },
  film: { typical: 3, least: 2, most: 4 },
  stream: { typical: 4.5, least: 3, most: 6 },
};
/** A computer at work, watts. Typical. */
const COMPUTER: Range = { typical: 15, least: 8, most: 25 };

/** Of what is given out at 5 V so much is taken from the cell: the converter loses the rest. Typical. */
export const CONVERTED = 0.85;
export const VOLTS = 5;

/** A battery of the rig: what it holds and what goes in and out, watt-hours and watts. */
export interface Store {
  readonly placed: string;
  readonly holds: Range;
  /** What its own part takes. */
  readonly takes: Range;
  /** What it gives others over supply lines, watts from the cell. */
  readonly gives: number;
  /** What comes in, watts, and from which stores; a supply on the mains is no store. */
  readonly comes: number;
  readonly from: readonly string[];
  /** Cells that are exchanged. */
  readonly cells?: string;
  /** Known by how long it lasts alone: watt-hours are hours. */
  readonly byHours: boolean;
  /** How full at the start, 0 to 1. */
  readonly begins: number;
}

const rangeOf = (laid: LaidPart, quantity: Parameters<typeof figureOf>[0]): Range => ({
  typical: figureOf(quantity, laid),
  ...spreadOf(quantity, laid),
});

/** The load of the session: as planned, or what the app on a host asks for. */
export const loadOf = (rig: Rig, laid: LaidPart): SessionLoad =>
  rig.surroundings.session?.load ?? findApp(laid.placed.app ?? DEFAULT_APP)?.load ?? 'sound';

function ownLoad(facts: Facts, laid: LaidPart): Range {
  if (!laid.part.host) return { typical: 0, least: 0, most: 0 };
  if (laid.part.host.manyDevices) return COMPUTER;
  return LOADS[facts.rig.purpose.recorders.includes(laid.placed.id) ? loadOf(facts.rig, laid) : 'sound'];
}

function sizeOf(facts: Facts, laid: LaidPart): Pick<Store, 'holds' | 'takes'> | undefined {
  const { battery } = laid.part;
  if (!battery) return undefined;
  if (battery.hours !== undefined) {
    // It is known by how long it lasts alone: an hour's worth is one.
    const one = { typical: 1, least: 1, most: 1 };
    return { holds: rangeOf(laid, battery.hours), takes: one };
  }
  if (battery.wattHours === undefined) return undefined;
  const milliwatts = battery.milliwatts === undefined ? undefined : rangeOf(laid, battery.milliwatts);
  const takes = milliwatts
    ? { typical: milliwatts.typical / 1000, least: milliwatts.least / 1000, most: milliwatts.most / 1000 }
    : ownLoad(facts, laid);
  return { holds: rangeOf(laid, battery.wattHours), takes };
}

/** A part runs on its battery: its switch stands so, and nothing else feeds it. */
const runsOnIt = ({ part, ...laid }: LaidPart): boolean =>
  part.battery?.on === undefined ||
  settingOf({ part, ...laid }, part.battery.on.setting) === part.battery.on.is;

/** Every battery that the rig runs on. */
export function stores(facts: Facts): Store[] {
  const graph = supplyGraph(facts);
  const isStore = (placed: string) => {
    const laid = facts.laid.get(placed);
    return laid?.part.battery !== undefined && !laid.part.host && runsOnIt(laid);
  };
  return [...facts.laid.values()].flatMap((laid): Store[] => {
    const size = runsOnIt(laid) ? sizeOf(facts, laid) : undefined;
    if (!size) return [];
    const { id } = laid.placed;
    const out = graph.feeds.filter(({ from }) => from.part === id);
    const into = graph.feeds.filter(({ to, as }) => to.part === id && as === 'charge');
    const handed = graph.handedTo(id);
    const milliamps = into.reduce((sum, { takes }) => sum + takes, 0) + handed;
    const givers = [
      ...into.map(({ from }) => from.part),
      ...(handed > 0 ? graph.feeds.filter(({ as }) => as === 'supply').map(({ from }) => from.part) : []),
    ];
    const byHours = laid.part.battery?.hours !== undefined;
    return [
      {
        placed: id,
        ...size,
        // What lasts a number of hours is charged at least as fast as it runs.
        gives: byHours ? 0 : (out.reduce((sum, { takes }) => sum + takes, 0) / 1000) * (VOLTS / CONVERTED),
        comes: byHours ? (milliamps > 0 ? 1 : 0) : (milliamps / 1000) * VOLTS * CONVERTED,
        from: givers.filter(isStore),
        byHours,
        ...(laid.part.battery?.cells !== undefined && { cells: laid.part.battery.cells }),
        begins: facts.rig.surroundings.session?.charge?.[id] ?? 1,
      },
    ];
  });
}

/** What a host gains at 5 V, mA: what comes in, less what it takes and gives; negative while it empties. */
export function netCharge(facts: Facts, host: string): number | undefined {
  const store = stores(facts).find(({ placed }) => placed === host);
  return store && ((store.comes - store.takes.typical - store.gives) / VOLTS) * 1000;
}

/** Whether a host gains charge while it works; one without a digital port has a charging socket of its own. */
export function isCharged(facts: Facts, host: string): boolean {
  const busPorts = facts.laid.get(host)?.part.host?.busPorts ?? [];
  return busPorts.length === 0 || (netCharge(facts, host) ?? -Infinity) > 0;
}
