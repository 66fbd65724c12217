import { readWavHead, sampleBeyondScale, wavSamples, type WavHead, type WavProblem } from './wav';
import type { Piece } from '../measure/shape';

/** The most of a file that is searched for its samples: pictures and notes of recorders may stand before them, bytes. */
const LONGEST_HEAD = 4_000_000;

/** With more of the file these may mend themselves. */
const MORE_MAY_COME: readonly WavProblem['code'][] = ['no-samples', 'no-format'];
const SHORTEST_HEAD = 12;

/** A WAV file as it comes, in bytes of any length. */
export interface WavFeed {
  /** Gives back what is wrong with the head as soon as that is known; then nothing more is taken. */
  readonly push: (bytes: Uint8Array) => WavProblem | undefined;
  /** What was wrong, or the head. */
  readonly finish: () =>
    { readonly ok: true; readonly head: WavHead } | { readonly ok: false; readonly problem: WavProblem };
}

const joined = (a: Uint8Array, b: Uint8Array): Uint8Array => {
  if (a.byteLength === 0) return b;
  const all = new Uint8Array(a.byteLength + b.byteLength);
  all.set(a);
  all.set(b, a.byteLength);
  return all;
};

/** `size`: bytes of the whole, where known. `open` is told the head and gives back what takes the samples. */
export function wavFeed(size: number | undefined, open: (head: WavHead) => (piece: Piece) => void): WavFeed {
  let waiting: Uint8Array = new Uint8Array(0);
  let seen = 0;
  let head: WavHead | undefined;
  let problem: WavProblem | undefined;
  let use: ((piece: Piece) => void) | undefined;
  let left = 0;
  const samples = (bytes: Uint8Array) => {
    if (!head) return;
    const all = joined(waiting, bytes.subarray(0, Math.max(0, left - waiting.byteLength)));
    const frame = (head.channels * head.bits) / 8;
    const whole = Math.floor(all.byteLength / frame) * frame;
    const odd = sampleBeyondScale(head, all.subarray(0, whole));
    if (odd !== undefined) {
      problem = { code: 'beyond-scale', value: odd };
      return;
    }
    if (whole > 0) use?.(wavSamples(head, all.subarray(0, whole)));
    left -= whole;
    waiting = all.slice(whole);
  };
  /** Reads the head once it is all there; `known` bytes are the whole file, when no more comes. */
  const start = (known: number | undefined): void => {
    const result = readWavHead(waiting, size ?? known ?? Infinity);
    if (!result.ok) {
      const more = seen < SHORTEST_HEAD || MORE_MAY_COME.includes(result.problem.code);
      if (known === undefined && more && seen < LONGEST_HEAD) return;
      problem = result.problem;
      return;
    }
    head = result.head;
    use = open(head);
    left = head.bytes;
    const first = waiting.subarray(head.from);
    waiting = new Uint8Array(0);
    samples(first);
  };
  return {
    push(bytes) {
      seen += bytes.byteLength;
      if (problem) return problem;
      if (head) samples(bytes);
      else {
        // The caller may write over what it gave.
        waiting = joined(waiting, bytes.slice());
        start(undefined);
      }
      return problem;
    },
    finish() {
      if (!head && !problem) start(seen);
      if (head && !problem) {
        const cut =
          Number.isFinite(left) &&
          left >= (head.channels * head.bits) / 8 &&
          !head.mended.includes('cut-short');
        return { ok: true, head: cut ? { ...head, mended: [...head.mended, 'cut-short'] } : head };
      }
      return { ok: false, problem: problem ?? { code: 'no-samples' } };
    },
  };
}
