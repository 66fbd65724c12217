import { growing } from './growing';
import { hopOf, type Stage, type TakeShape } from './stage';

/** Second differences of a millisecond: the largest, and their mean square. */
const [SIZE, OVER, BESIDE] = [0.02, 28, 12];

export interface Jumps {
  /** Of every click, of all channels. */
  readonly seconds: readonly number[];
  /** Of each channel, mean square of the second difference of every hop: how much hiss there is. */
  readonly roughness: readonly Float32Array[];
}

/** Clicks: jumps of a sample or few, far over what the sound does around them.  Limits our own. */
export function clicks({ sampleRate, channels }: TakeShape): Stage<Jumps> {
  const hop = hopOf(sampleRate);
  const each = Array.from({ length: channels }, () => ({
    most: growing(),
    squares: growing(),
    state: new Float64Array(4),
  }));
  const look = ({ most, squares, state }: (typeof each)[number], x: Float32Array) => {
    for (let from = 0; from < x.length; from += hop) {
      const to = Math.min(x.length, from + hop);
      readHop(x, from, to, state);
      if (to - from < hop) return;
      most.add(state[TOP] as number);
      squares.add((state[SUM] as number) / hop);
    }
  };
  return {
    push: (piece) => {
      each.forEach((one, channel) => look(one, piece[channel] as Float32Array));
    },
    finish: () => ({
      seconds: each
        .flatMap(({ most, squares }) => jumps(most.all(), squares.all()).map((i) => (i * hop) / sampleRate))
        .sort((a, b) => a - b),
      roughness: each.map(({ squares }) => squares.all()),
    }),
  };
}

/** The two samples before, and of a hop the largest square of the second difference and their sum. */
const [FIRST, SECOND, TOP, SUM] = [0, 1, 2, 3];

function readHop(x: Float32Array, from: number, to: number, state: Float64Array): void {
  let a = state[FIRST] as number;
  let b = state[SECOND] as number;
  let top = 0;
  let sum = 0;
  for (let i = from; i < to; i += 1) {
    const v = x[i] as number;
    const d = v - 2 * b + a;
    const size = d * d;
    sum += size;
    if (size > top) top = size;
    a = b;
    b = v;
  }
  state[FIRST] = a;
  state[SECOND] = b;
  state[TOP] = top;
  state[SUM] = sum;
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
  return found.filter((i, n) => n === 0 || i - (found[n - 1] as number) > 2);
}
