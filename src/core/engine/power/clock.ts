import type { Range, Store } from './charge';

/** How full a battery is along the session. */
export interface Discharge {
  readonly placed: string;
  /** Minute and share of what it holds, 0 to 1, at each bend of the line. */
  readonly line: readonly (readonly [minute: number, share: number])[];
  /** Minute at which it is empty: as usual, at the worst and at the best; absent where it lasts as long as was looked. */
  readonly flat?: number;
  readonly flatSoonest?: number;
  readonly flatLatest?: number;
}

interface Running {
  readonly store: Store;
  readonly holds: number;
  readonly takes: number;
  left: number;
}

/** So far it is looked, hours: what lasts longer outlasts any session. */
export const LONGEST_HOURS = 48;
/** Watt-hours under which a battery counts as empty: rounding. */
const EMPTY = 1e-9;

const pick = (range: Range, which: keyof Range): number => range[which];

/** What changes a battery, watts: what comes in while its giver still has anything, less what goes. */
function rateOf(one: Running, all: readonly Running[]): number {
  const empty = one.store.from.some((id) => all.some((r) => r.store.placed === id && r.left <= EMPTY));
  const comes = empty ? 0 : one.store.comes;
  const goes = one.left <= EMPTY ? 0 : one.takes + one.store.gives;
  const rate = comes - goes;
  if (one.left >= one.holds - EMPTY && rate > 0) return 0;
  return one.left <= EMPTY && rate < 0 ? 0 : rate;
}

/** Walks from bend to bend: within one every battery fills or empties evenly. */
function walk(stores: readonly Store[], worst: 'typical' | 'least' | 'most') {
  const holds = worst;
  const takes = worst === 'typical' ? 'typical' : worst === 'least' ? 'most' : 'least';
  const all = stores.map((store): Running => {
    const full = pick(store.holds, holds);
    return { store, holds: full, takes: pick(store.takes, takes), left: full * store.begins };
  });
  const lines = all.map((one): [number, number][] => [[0, one.left / one.holds]]);
  const flat = new Map<string, number>(all.filter((r) => r.left <= EMPTY).map((r) => [r.store.placed, 0]));
  let hours = 0;
  // Each bend empties or fills a battery: more than twice their number are none.
  for (let bend = 0; bend <= 4 * all.length && hours < LONGEST_HOURS; bend += 1) {
    const rates = all.map((one) => rateOf(one, all));
    const next = all.map((one, i) => {
      const rate = rates[i] ?? 0;
      if (rate < 0) return one.left / -rate;
      return rate > 0 ? (one.holds - one.left) / rate : Infinity;
    });
    const step = Math.min(LONGEST_HOURS - hours, ...next.filter((h) => h > 0));
    hours += step;
    for (const [i, one] of all.entries()) {
      one.left = Math.min(one.holds, Math.max(0, one.left + (rates[i] ?? 0) * step));
      lines[i]?.push([hours * 60, one.left / one.holds]);
      if (one.left <= EMPTY && !flat.has(one.store.placed)) {
        one.left = 0;
        flat.set(one.store.placed, hours * 60);
      }
    }
  }
  return { lines, flat };
}

/** Every battery of a rig from the start of the session on, what feeds it included. */
export function discharge(stores: readonly Store[]): Discharge[] {
  const [usual, soonest, latest] = (['typical', 'least', 'most'] as const).map((which) =>
    walk(stores, which),
  );
  return stores.map(({ placed }, index) => {
    const at = (found: ReturnType<typeof walk> | undefined) => found?.flat.get(placed);
    const [flat, flatSoonest, flatLatest] = [at(usual), at(soonest), at(latest)];
    return {
      placed,
      line: usual?.lines[index] ?? [],
      ...(flat !== undefined && { flat }),
      ...(flatSoonest !== undefined && { flatSoonest }),
      ...(flatLatest !== undefined && { flatLatest }),
    };
  });
}

/** Minutes of a session for which nothing is planned. */
export const USUAL_MINUTES = 120;
