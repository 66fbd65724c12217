import { growing } from './growing';
import type { Hops } from './hops';
import { hopOf, type TakeShape } from './shape';
import type { Stage } from './stage';

/** Second differences of a millisecond: the largest, and their mean square. */
const [SIZE, OVER, BESIDE] = [0.02, 28, 12];

/** Jumps within so many hops are one click. */
const TOGETHER = 2;

export interface Jumps {
  /** Of every click, of all channels. */
  readonly seconds: readonly number[];
  /** Of each channel, mean square of the second difference of every hop: how much hiss there is. */
  readonly roughness: readonly Float32Array[];
}

/** Clicks: jumps of a sample or few, far over what the sound does around them.  Limits our own. */
export function clicks({ sampleRate, channels }: TakeShape): Stage<Jumps> {
  const hop = hopOf(sampleRate);
  const each = Array.from({ length: channels }, () => ({ most: growing(), squares: growing() }));
  return {
    push: (piece, hops) => {
      const whole = Math.floor((piece[0]?.length ?? 0) / hop);
      each.forEach(({ most, squares }, channel) => {
        const { bends, roughs } = hops[channel] as Hops;
        for (let h = 0; h < whole; h += 1) {
          most.add(bends[h] as number);
          squares.add((roughs[h] as number) / hop);
        }
      });
    },
    finish: () => ({
      // A click on both sides is one.
      seconds: [...new Set(each.flatMap(({ most, squares }) => jumps(most.all(), squares.all())))]
        .sort((a, b) => a - b)
        .filter((i, n, all) => n === 0 || i - (all[n - 1] as number) > TOGETHER)
        .map((i) => (i * hop) / sampleRate),
      roughness: each.map(({ squares }) => squares.all()),
    }),
  };
}

function jumps(most: Float32Array, squares: Float32Array): number[] {
  const found: number[] = [];
  for (let i = BESIDE + 1; i < most.length - BESIDE - 1; i += 1) {
    const top = most[i] as number;
    if (top < SIZE * SIZE) continue;
    let sum = 0;
    for (let k = 2; k <= BESIDE + 1; k += 1) sum += (squares[i - k] as number) + (squares[i + k] as number);
    if (top > OVER * OVER * (sum / (2 * BESIDE))) found.push(i);
  }
  return found;
}
