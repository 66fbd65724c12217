import type { Chain, ChainFinder } from './chains';
import { compareCosts, NOTHING, plus, type Cost } from './inventory';

/** No more chains of one leg than this are combined with those of the others. */
const MOST_OF_A_LEG = 24;

/** The chains of one leg as they are found. */
class Leg {
  readonly found: Chain[] = [];
  private readonly kinds = new Set<string>();
  constructor(private readonly finder: ChainFinder) {}

  /** The least that the chain of this number can cost; undefined where there is none. */
  costAt(index: number): Cost | undefined {
    const known = this.found[index];
    if (known) return known.cost;
    return this.found.length >= MOST_OF_A_LEG ? undefined : this.finder.bound;
  }

  /** One step toward the chain of this number; gives it once it is there. */
  at(index: number): Chain | undefined {
    if (this.found[index]) return this.found[index];
    const chain = this.finder.step();
    if (chain && !this.kinds.has(chain.kind)) {
      this.kinds.add(chain.kind);
      this.found.push(chain);
    }
    return this.found[index];
  }
}

interface Choice {
  readonly indices: readonly number[];
}

/** Combinations of one chain for each leg, the cheapest sum first. */
export class Legs {
  private readonly legs: readonly Leg[];
  private waiting: Choice[];
  private readonly seen = new Set<string>();

  constructor(finders: readonly ChainFinder[]) {
    this.legs = finders.map((finder) => new Leg(finder));
    this.waiting = [{ indices: finders.map(() => 0) }];
  }

  private costOf({ indices }: Choice): Cost | undefined {
    let total = NOTHING;
    for (const [leg, index] of indices.entries()) {
      const cost = this.legs[leg]?.costAt(index);
      if (!cost) return undefined;
      total = plus(total, cost);
    }
    return total;
  }

  private best(): { choice: Choice; cost: Cost } | undefined {
    // What was found since may have changed what each combination costs at the least.
    let best: { choice: Choice; cost: Cost } | undefined;
    for (const choice of this.waiting) {
      const cost = this.costOf(choice);
      if (cost && (!best || compareCosts(cost, best.cost) < 0)) best = { choice, cost };
    }
    return best;
  }

  /** The least that the next combination can cost; undefined when there is none left. */
  get bound(): Cost | undefined {
    return this.best()?.cost;
  }

  /** The next combination, or undefined after one step that led to none yet. */
  step(): Chain[] | undefined {
    const best = this.best();
    if (!best) return undefined;
    const { indices } = best.choice;
    const chains: Chain[] = [];
    for (const [leg, index] of indices.entries()) {
      const chain = this.legs[leg]?.at(index);
      if (!chain) return undefined;
      chains.push(chain);
    }
    this.waiting = this.waiting.filter((choice) => choice !== best.choice);
    for (const leg of indices.keys()) {
      const next = indices.map((index, at) => (at === leg ? index + 1 : index));
      const key = next.join();
      if (this.seen.has(key)) continue;
      this.seen.add(key);
      this.waiting.push({ indices: next });
    }
    return chains;
  }
}
