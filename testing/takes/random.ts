/** Numbers from 0 to 1 that are the same for the same seed (mulberry32, public domain). */
export function random(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** White noise of an RMS of 1, near enough to normal. */
export function noise(length: number, next: () => number): Float32Array {
  return Float32Array.from({ length }, () => (next() + next() + next() + next() - 2) * Math.sqrt(3));
}
