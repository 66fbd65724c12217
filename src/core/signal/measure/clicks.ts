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
    before: [0, 0] as [number, number],
    run: { at: 0, most: 0, sum: 0 },
  }));
  const look = ({ most, squares, before, run }: (typeof each)[number], x: Float32Array) => {
    let a = before[0];
    let b = before[1];
    let at = run.at;
    let top = run.most;
    let sum = run.sum;
    for (let i = 0; i < x.length; i += 1) {
      const v = x[i] as number;
      const d = v - 2 * b + a;
      const size = d * d;
      sum += size;
      if (size > top) top = size;
      a = b;
      b = v;
      at += 1;
      if (at < hop) continue;
      most.add(top);
      squares.add(sum / hop);
      at = 0;
      top = 0;
      sum = 0;
    }
    before[0] = a;
    before[1] = b;
    Object.assign(run, { at, most: top, sum });
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
