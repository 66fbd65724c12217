import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { ChainFinder } from './chains';
import type { PartChain } from './part-chain';
import { NOTHING, type Cost } from './inventory';
import { Leg, Legs, type Pair } from './legs';

const cost = (weight: number): Cost => ({ ...NOTHING, weight });

interface Listed {
  /** What the chains of a leg weigh, in order. */
  readonly weights: readonly number[];
  /** The sockets that they use. */
  readonly kinds: readonly number[];
}

/** A finder that gives these chains, every other step none. */
function finderOf(name: string, { weights, kinds }: Listed): ChainFinder {
  const chains = weights.map((weight, n) => ({
    way: `${name}${n}`,
    kind: `k${kinds[n]}`,
    cost: cost(weight),
  }));
  let [at, rests] = [0, false];
  const finder = {
    cut: Infinity,
    get bound() {
      return chains[at]?.cost;
    },
    step() {
      rests = !rests;
      return rests ? undefined : chains[at++];
    },
    // Two more than those whose turn has come have come to the goal.
    nearest: (most: number) => chains.slice(0, at + 2).slice(0, most),
  };
  return finder as unknown as ChainFinder;
}

const listed = fc.record({
  weights: fc.array(fc.nat(9), { minLength: 1, maxLength: 6 }).map((list) => list.sort((a, b) => a - b)),
  kinds: fc.array(fc.nat(2), { minLength: 6, maxLength: 6 }),
});

const numberOf = (chain: PartChain) => Number(chain.way.slice(1));

/** Three legs: one that leads on to, or from, two others, which have to have room side by side and may be one. */
const situation = fc.record({
  one: listed,
  first: listed,
  second: listed,
  twins: fc.boolean(),
  /** The one is dealt last: two sources and one recorder, else one source and two recorders. */
  isLast: fc.boolean(),
  clashing: fc.uniqueArray(fc.tuple(fc.nat(5), fc.nat(5)).map(String), { maxLength: 30 }),
  /** Chains, by their legs' letters and numbers, by which what goes is lost. */
  lost: fc.uniqueArray(
    fc.tuple(fc.constantFrom('a', 'b', 'c'), fc.nat(5)).map(([leg, n]) => `${leg}${n}`),
    { maxLength: 5 },
  ),
  /** Kinds of socket of which there is one. */
  single: fc.uniqueArray(fc.nat(2), { maxLength: 2 }),
});
type Situation = typeof situation extends fc.Arbitrary<infer T> ? T : never;

interface Combination {
  readonly name: string;
  readonly weight: number;
}

const haveRoom = ({ single }: Situation, a: string, b: string) =>
  a !== b || !single.includes(Number(a.slice(1)));

function legsOf(given: Situation) {
  const { one, first, second, twins, isLast, clashing } = given;
  const twin = new Leg(finderOf('b', first));
  const pair = [twin, twins ? twin : new Leg(finderOf('c', second))];
  const alone = new Leg(finderOf('a', one));
  const [hub, ...others] = isLast ? [2, 0, 1] : [0, 1, 2];
  const legs = new Legs(isLast ? [...pair, alone] : [alone, ...pair], {
    kindOf: (_, chain) => chain.kind,
    haveRoom: (chains) => {
      const [a, b] = others.map((leg) => chains[leg]?.kind ?? '');
      return haveRoom(given, a ?? '', b ?? '');
    },
    isLost: (_, { way }) => given.lost.includes(way),
    pairs: others.map((leg): Pair => (isLast ? [leg, 2] : [0, leg])),
    classOf: (_, chain) => chain,
    clash: (_, into, out) => {
      const [a, b] = isLast ? [out, into] : [into, out];
      return clashing.includes(String([numberOf(a), numberOf(b)]));
    },
  });
  const told = (chains: readonly PartChain[]): Combination => ({
    name: String([hub, ...others].map((leg) => numberOf(chains[leg ?? 0]!))),
    weight: chains.reduce((sum, chain) => sum + chain.cost.weight, 0),
  });
  return { legs, told };
}

function found(given: Situation, { legs, told } = legsOf(given)): Combination[] {
  const combinations: Combination[] = [];
  while (legs.bound) {
    const chains = legs.step();
    if (chains) combinations.push(told(chains));
  }
  return combinations;
}

/** What legs throw together before its turn, until they have nothing more. */
function thrown({ legs, told }: ReturnType<typeof legsOf>): Combination[] {
  const combinations: Combination[] = [];
  while (!legs.areThrown) {
    const chains = legs.throwTogether();
    if (chains) combinations.push(told(chains));
  }
  return combinations;
}

/** The same by plain counting: of legs that are one, each set of chains once. */
function counted(given: Situation): string[] {
  const { one, first, second, twins, clashing, lost } = given;
  const other = twins ? first : second;
  const fits = (i: number, j: number, k: number) =>
    ![`a${i}`, `b${j}`, `${twins ? 'b' : 'c'}${k}`].some((way) => lost.includes(way)) &&
    !clashing.includes(String([i, j])) &&
    !clashing.includes(String([i, k])) &&
    haveRoom(given, `k${first.kinds[j]}`, `k${other.kinds[k]}`);
  return one.weights.flatMap((_, i) =>
    first.weights.flatMap((_w, j) =>
      other.weights.flatMap((_v, k) => ((!twins || k >= j) && fits(i, j, k) ? [String([i, j, k])] : [])),
    ),
  );
}

describe('combinations of legs', () => {
  it('are all that can be together, once each, the cheapest first, as plain counting finds them', () => {
    fc.assert(
      fc.property(situation, (given) => {
        const combinations = found(given);
        expect(combinations.map(({ name }) => name).sort()).toEqual(counted(given).sort());
        const weights = combinations.map(({ weight }) => weight);
        expect(weights).toEqual([...weights].sort((a, b) => a - b));
      }),
      { seed: 20261127, numRuns: 3000 },
    );
  });

  it('are thrown together before their turn, of those that can be together, and change nothing of what follows', () => {
    let some = 0;
    fc.assert(
      fc.property(situation, (given) => {
        // Of legs that are one any order is as good.
        const inOrder = ({ name }: Combination): string => {
          const [i, ...others] = name.split(',');
          return String(given.twins ? [i, ...others.sort()] : [i, ...others]);
        };
        const legs = legsOf(given);
        const early = thrown(legs).map(inOrder);
        some += early.length;
        const all = counted(given);
        expect(early.filter((name) => !all.includes(name))).toEqual([]);
        expect(found(given, legs).map(inOrder).sort()).toEqual(all.sort());
      }),
      { seed: 20261128, numRuns: 2000 },
    );
    expect(some).toBeGreaterThan(2000);
  });
});
