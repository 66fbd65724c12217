// ../../tmp/sc/probe.ts
import { open } from "node:fs/promises";

// src/core/signal/measure/decibels.ts
var powerToDb = (power) => power > 0 ? 10 * Math.log10(power) : -Infinity;
var amplitudeToDb = (amplitude) => amplitude > 0 ? 20 * Math.log10(amplitude) : -Infinity;
var quantile = (sorted, share) => sorted.length === 0 ? NaN : sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;

// src/core/signal/measure/pauses.ts
var WINDOW = 100;
var [QUIET_SHARE, STANDS_OUT] = [0.05, 6];
var ACTIVE_WITHIN = 20;
var ROUNDING = 1e-13;
var averaged = (values) => {
  const out = new Float32Array(Math.floor(values.length / WINDOW));
  for (let w = 0; w < out.length; w += 1) {
    let sum = 0;
    for (let i = w * WINDOW; i < (w + 1) * WINDOW; i += 1) sum += values[i];
    out[w] = sum / WINDOW;
  }
  return out;
};
function windowed(products, one, other) {
  const [means, others] = [averaged(one), averaged(other)];
  return averaged(products).map((p, w) => p - means[w] * others[w]);
}
var windowPowers = ({ channels, means }, channel) => {
  const [powers, still] = [channels[channel] ?? new Float32Array(), means[channel] ?? new Float32Array()];
  return windowed(powers, still, still).map((p) => p > ROUNDING ? p : 0);
};
var mean = (values) => values.reduce((a, b) => a + b, 0) / Math.max(1, values.length);
function pausesOf(unsorted) {
  const windows2 = unsorted.toSorted();
  const sounding = windows2.filter((p) => p > 0);
  const emptyShare = windows2.length === 0 ? 1 : 1 - sounding.length / windows2.length;
  if (sounding.length === 0) return { activeDbfs: -Infinity, floorDbfs: -Infinity, emptyShare };
  const loud = quantile(sounding, 0.95);
  const active = mean(sounding.filter((p) => p >= loud * 10 ** (-ACTIVE_WITHIN / 10)));
  const quiet = mean(sounding.subarray(0, Math.max(1, Math.floor(sounding.length * QUIET_SHARE))));
  const [activeDbfs, floor] = [powerToDb(active), powerToDb(quiet)];
  if (emptyShare > QUIET_SHARE) return { activeDbfs, floorDbfs: -Infinity, emptyShare };
  return { activeDbfs, floorDbfs: activeDbfs - floor >= STANDS_OUT ? floor : void 0, emptyShare };
}

// src/core/signal/measure/automatic-gain.ts
var [SHORTEST, DECAY, COMPARED] = [12, 3, 3];
var UNDER = 12;
function riseInPauses(windows2) {
  const most = 10 ** ((pausesOf(windows2).activeDbfs - UNDER) / 10);
  const rises = [];
  const mean2 = (from, to) => windows2.subarray(from, to).reduce((a, b) => a + b, 0) / (to - from);
  for (let i = 0; i < windows2.length; i += 1) {
    if (windows2[i] > most || i === 0) continue;
    let j = i;
    while (j < windows2.length && windows2[j] <= most) j += 1;
    if (j - i >= SHORTEST && windows2[i - 1] > most) {
      rises.push(powerToDb(mean2(j - COMPARED - 1, j - 1)) - powerToDb(mean2(i + DECAY, i + DECAY + COMPARED)));
    }
    i = j;
  }
  const known = rises.filter(Number.isFinite).sort((a, b) => a - b);
  return known.length === 0 ? null : quantile(known, 0.5);
}

// src/core/signal/measure/band.ts
var [BANDS_AN_OCTAVE, LOWEST] = [6, 50];
var [WITHIN, OVER] = [60, 6];
function bandOf(active, quiet, step) {
  const bands = [];
  for (let low = LOWEST; low < (active.length - 2) * step; low *= 2 ** (1 / BANDS_AN_OCTAVE)) {
    const high = Math.min(low * 2 ** (1 / BANDS_AN_OCTAVE), (active.length - 1) * step);
    const [from, to] = [Math.ceil(low / step), Math.ceil(high / step)];
    if (to <= from) continue;
    const sum = (x2) => x2.subarray(from, to).reduce((a, b) => a + b, 0) / (to - from);
    bands.push({ low, high, power: sum(active), floor: quiet ? sum(quiet) : 0 });
  }
  const top = Math.max(0, ...bands.map(({ power }) => power));
  const sounding = bands.filter(
    ({ power, floor }) => powerToDb(power / top) >= -WITHIN && (floor === 0 || powerToDb(power / floor) >= OVER)
  );
  const [first] = sounding;
  const last = sounding[sounding.length - 1];
  return first && last ? { lowHz: first.low, highHz: last.high } : null;
}

// src/core/signal/measure/growing.ts
var FIRST = 4096;
function growing() {
  let kept = new Float32Array(FIRST);
  let length = 0;
  return {
    add(value) {
      if (length === kept.length) {
        const larger2 = new Float32Array(length * 2);
        larger2.set(kept);
        kept = larger2;
      }
      kept[length] = value;
      length += 1;
    },
    all: () => kept.subarray(0, length)
  };
}

// src/core/signal/measure/stage.ts
var hopOf = (sampleRate) => Math.max(1, Math.round(sampleRate / 1e3)) | 0;

// src/core/signal/measure/clicks.ts
var [SIZE, OVER2, BESIDE] = [0.02, 28, 12];
function clicks({ sampleRate, channels }) {
  const hop = hopOf(sampleRate);
  const each = Array.from({ length: channels }, () => ({
    most: growing(),
    squares: growing(),
    state: new Float64Array(4)
  }));
  const look = ({ most, squares, state }, x2) => {
    for (let from = 0; from < x2.length; from += hop) {
      const to = Math.min(x2.length, from + hop);
      readHop(x2, from, to, state);
      if (to - from < hop) return;
      most.add(state[TOP]);
      squares.add(state[SUM] / hop);
    }
  };
  return {
    push: (piece) => {
      each.forEach((one, channel) => look(one, piece[channel]));
    },
    finish: () => ({
      seconds: each.flatMap(({ most, squares }) => jumps(most.all(), squares.all()).map((i) => i * hop / sampleRate)).sort((a, b) => a - b),
      roughness: each.map(({ squares }) => squares.all())
    })
  };
}
var [FIRST2, SECOND, TOP, SUM] = [0, 1, 2, 3];
function readHop(x2, from, to, state) {
  let a = state[FIRST2];
  let b = state[SECOND];
  let top = 0;
  let sum = 0;
  for (let i = from; i < to; i += 1) {
    const v = x2[i];
    const d = v - 2 * b + a;
    const size2 = d * d;
    sum += size2;
    if (size2 > top) top = size2;
    a = b;
    b = v;
  }
  state[FIRST2] = a;
  state[SECOND] = b;
  state[TOP] = top;
  state[SUM] = sum;
}
function jumps(most, squares) {
  const found = [];
  for (let i = BESIDE + 1; i < most.length - BESIDE - 1; i += 1) {
    const top = most[i];
    if (top < SIZE * SIZE) continue;
    let sum = 0;
    for (let k = 2; k <= BESIDE + 1; k += 1) sum += squares[i - k] + squares[i + k];
    if (top > OVER2 * OVER2 * (sum / (2 * BESIDE))) found.push(i);
  }
  return found.filter((i, n) => n === 0 || i - found[n - 1] > 2);
}

// src/core/signal/measure/clipping.ts
var FLAT_FROM = 3;
var FULL = 1 - 2 / 32768;
var [STEP, WITHIN2] = [2 / 32768, 4e-3];
var KINK = 12;
var [NEAR_TOP, LEAST] = [0.891, 0.01];
var [LEVEL_WIDTH, ENOUGH] = [0.25, 3];
var [LONGEST, REACH] = [4096, 64];
var MARKS = 200;
function flatTops(x2, [from, to], least, found) {
  let i = from;
  for (; i < to; i += 1) {
    const first = x2[i];
    if (first < least && first > -least) continue;
    const size2 = Math.abs(first);
    const within = Math.max(STEP, size2 * WITHIN2);
    let [j, low, high] = [i + 1, first, first];
    for (; j < x2.length && j - i < LONGEST; j += 1) {
      const v = x2[j];
      if (Math.abs(v - first) > within) break;
      if (v < low) low = v;
      if (v > high) high = v;
    }
    const count = j - i;
    if (count >= FLAT_FROM && isCut(x2, i, j, Math.sign(first), high - low)) found(i, size2);
    i = j - 1;
  }
  return i;
}
function isCut(x2, i, j, sign, spread) {
  const top = sign * x2[i + j >> 1];
  if (top >= FULL) return true;
  const reach = Math.min(REACH, Math.max(2, j - i >> 1));
  const beside = Math.max(sign * (x2[i - reach] ?? 0), sign * (x2[j - 1 + reach] ?? 0));
  return top - beside > KINK * Math.max(spread, STEP);
}
function ceilingOf(tops, peak) {
  const near = tops.filter(({ level }) => amplitudeToDb(peak) - amplitudeToDb(level) <= LEVEL_WIDTH);
  const full = near.filter(({ level }) => level >= FULL);
  return full.length > 0 || near.length >= ENOUGH ? near : [];
}
function clipping({ sampleRate, channels }) {
  const margin = REACH + LONGEST;
  const each = Array.from({ length: channels }, () => ({
    kept: new Float32Array(0),
    start: 0,
    done: 0,
    last: 0,
    peak: 0,
    tops: []
  }));
  const look = (one, samples, tops, last) => {
    one.peak = tops.reduce((a, b) => b > a ? b : a, one.peak);
    const all = new Float32Array(one.kept.length + samples.length);
    all.set(one.kept);
    all.set(samples, one.kept.length);
    const from = one.done - one.start;
    const to = last ? all.length : Math.max(from, all.length - margin);
    const found = (at, level) => one.tops.push({ at: one.start + at, level });
    const least = Math.max(LEAST, one.peak * NEAR_TOP);
    const quiet = Math.max(one.last, ...tops) < least;
    one.done = one.start + (quiet ? to : flatTops(all, [from, to], least, found));
    one.last = Math.max(0, ...tops);
    const keep = Math.max(0, Math.min(all.length, one.done - one.start) - REACH);
    one.kept = all.slice(keep);
    one.start += keep;
  };
  return {
    push: (piece, tops) => {
      each.forEach((one, i) => look(one, piece[i], tops[i], false));
    },
    finish: () => {
      each.forEach((one) => look(one, new Float32Array(0), new Float32Array(0), true));
      const cut = each.map(({ tops: tops2, peak }) => ceilingOf(tops2, peak));
      const channel = cut.reduce((best, tops2, i) => tops2.length > (cut[best]?.length ?? 0) ? i : best, 0);
      const tops = cut[channel] ?? [];
      if (tops.length === 0) return null;
      const sorted = tops.map(({ level }) => level).sort((a, b) => a - b);
      return {
        count: tops.length,
        ceilingDbfs: amplitudeToDb(sorted[sorted.length >> 1] ?? 0),
        channel,
        atSeconds: tops.slice(0, MARKS).map(({ at }) => at / sampleRate)
      };
    }
  };
}

// src/core/signal/measure/decimate.ts
function decimator(factor) {
  if (factor <= 1) return (samples) => samples;
  const taps = smoothing(factor);
  const length = taps.length | 0;
  let kept = new Float32Array(length - 1);
  return (samples) => {
    const all = new Float32Array(kept.length + samples.length);
    all.set(kept);
    all.set(samples, kept.length);
    const count = ((all.length - length) / factor | 0) + 1;
    const out = new Float32Array(count);
    for (let t = 0; t < length; t += 1) addTap(out, all, t, factor, taps[t]);
    kept = all.slice(count * factor);
    return out;
  };
}
function addTap(out, x2, first, factor, tap) {
  for (let k = 0, i = first; k < out.length; k += 1, i = i + factor | 0)
    out[k] = out[k] + tap * x2[i];
}
function smoothing(factor) {
  const box = new Float64Array(factor).fill(1 / factor);
  return convolved(convolved(box, box), box);
}
function convolved(a, b) {
  const out = new Float64Array(a.length + b.length - 1);
  a.forEach((x2, i) => {
    b.forEach((y, j) => {
      out[i + j] = out[i + j] + x2 * y;
    });
  });
  return out;
}
function droopAt(factor, cycles) {
  if (factor <= 1 || cycles === 0) return 1;
  return Math.abs(Math.sin(Math.PI * cycles * factor) / (factor * Math.sin(Math.PI * cycles))) ** 3;
}

// node_modules/fourier-transform/index.js
var TWO_PI = 6.283185307179586;
var cache = /* @__PURE__ */ new Map();
var lastN = 0;
var lastEntry = null;
function init(N) {
  const half = N >>> 1;
  const x2 = new Float64Array(N);
  const spectrum2 = new Float64Array(half);
  const im = new Float64Array(half + 1);
  const re = x2.subarray(0, half + 1);
  const complex = [re, im];
  const bSi = 2 / N;
  const bits = 31 - Math.clz32(N);
  const perm = new Uint32Array(N);
  for (let i = 0; i < N; i++) {
    let rev = 0, v = i;
    for (let j = 0; j < bits; j++) {
      rev = rev << 1 | v & 1;
      v >>= 1;
    }
    perm[i] = rev;
  }
  let total = 0, n2 = 2, nn = half;
  const stages = [];
  while (nn = nn >>> 1) {
    n2 = n2 << 1;
    const n8 = n2 >>> 3;
    const count = n8 > 1 ? n8 - 1 : 0;
    stages.push({ offset: total, count });
    total += count;
  }
  const tw = new Float64Array(total << 2);
  n2 = 2;
  nn = half;
  let si = 0;
  while (nn = nn >>> 1) {
    n2 = n2 << 1;
    const n8 = n2 >>> 3;
    const e = TWO_PI / n2;
    const off = stages[si].offset << 2;
    for (let j = 1; j < n8; j++) {
      const a = j * e;
      const s = Math.sin(a), c = Math.cos(a);
      const idx = off + (j - 1 << 2);
      tw[idx] = c;
      tw[idx + 1] = s;
      tw[idx + 2] = 4 * c * (c * c - 0.75);
      tw[idx + 3] = 4 * s * (0.75 - s * s);
    }
    si++;
  }
  const entry = { x: x2, spectrum: spectrum2, complex, bSi, tw, stages, perm };
  cache.set(N, entry);
  return entry;
}
function getEntry(N) {
  if (N === lastN) return lastEntry;
  const entry = cache.get(N) || init(N);
  lastN = N;
  lastEntry = entry;
  return entry;
}
function transform(input) {
  const N = input.length;
  if (N < 2 || N & N - 1) throw Error("Input length must be a power of 2 (>= 2).");
  const entry = getEntry(N);
  const { x: x2, tw, stages, perm } = entry;
  for (let i = 0; i < N; i++) x2[i] = input[perm[i]];
  for (let ix = 0, id = 4; ix < N; id *= 4) {
    for (let i0 = ix; i0 < N; i0 += id) {
      const t = x2[i0] - x2[i0 + 1];
      x2[i0] += x2[i0 + 1];
      x2[i0 + 1] = t;
    }
    ix = 2 * (id - 1);
  }
  let n2 = 2, nn = N >>> 1, si = 0;
  while (nn = nn >>> 1) {
    let ix = 0;
    n2 = n2 << 1;
    let id = n2 << 1;
    const n4 = n2 >>> 2;
    const n8 = n2 >>> 3;
    do {
      if (n4 !== 1) {
        for (let i0 = ix; i0 < N; i0 += id) {
          let i1 = i0, i2 = i1 + n4, i3 = i2 + n4, i4 = i3 + n4;
          let t1 = x2[i3] + x2[i4];
          x2[i4] -= x2[i3];
          x2[i3] = x2[i1] - t1;
          x2[i1] += t1;
          i1 += n8;
          i2 += n8;
          i3 += n8;
          i4 += n8;
          t1 = x2[i3] + x2[i4];
          let t2 = x2[i3] - x2[i4];
          t1 = -t1 * Math.SQRT1_2;
          t2 *= Math.SQRT1_2;
          const st1 = x2[i2];
          x2[i4] = t1 + st1;
          x2[i3] = t1 - st1;
          x2[i2] = x2[i1] - t2;
          x2[i1] += t2;
        }
      } else {
        for (let i0 = ix; i0 < N; i0 += id) {
          const i1 = i0, i3 = i1 + 2, i4 = i3 + 1;
          const t1 = x2[i3] + x2[i4];
          x2[i4] -= x2[i3];
          x2[i3] = x2[i1] - t1;
          x2[i1] += t1;
        }
      }
      ix = (id << 1) - n2;
      id = id << 2;
    } while (ix < N);
    const { offset, count } = stages[si];
    for (let j = 0; j < count; j++) {
      const ti = offset + j << 2;
      const cc1 = tw[ti], ss1 = tw[ti + 1], cc3 = tw[ti + 2], ss3 = tw[ti + 3];
      ix = 0;
      id = n2 << 1;
      do {
        for (let i0 = ix; i0 < N; i0 += id) {
          const i1 = i0 + j + 1;
          const i2 = i1 + n4;
          const i3 = i2 + n4;
          const i4 = i3 + n4;
          const i5 = i0 + n4 - j - 1;
          const i6 = i5 + n4;
          const i7 = i6 + n4;
          const i8 = i7 + n4;
          let t2 = x2[i7] * cc1 - x2[i3] * ss1;
          let t1 = x2[i7] * ss1 + x2[i3] * cc1;
          let t4 = x2[i8] * cc3 - x2[i4] * ss3;
          let t3 = x2[i8] * ss3 + x2[i4] * cc3;
          const st1 = t2 - t4;
          t2 += t4;
          t4 = st1;
          x2[i8] = t2 + x2[i6];
          x2[i3] = t2 - x2[i6];
          const st2 = t3 - t1;
          t1 += t3;
          t3 = st2;
          x2[i4] = t3 + x2[i2];
          x2[i7] = t3 - x2[i2];
          x2[i6] = x2[i1] - t1;
          x2[i1] += t1;
          x2[i2] = t4 + x2[i5];
          x2[i5] -= t4;
        }
        ix = (id << 1) - n2;
        id = id << 2;
      } while (ix < N);
    }
    si++;
  }
  return entry;
}
function fft(input, output) {
  const entry = transform(input);
  const N = input.length;
  const half = N >>> 1;
  const { x: x2, complex } = entry;
  if (output) {
    const re = output[0], im2 = output[1];
    for (let k = 0; k <= half; k++) re[k] = x2[k];
    im2[0] = 0;
    im2[half] = 0;
    for (let k = 1; k < half; k++) im2[k] = x2[N - k];
    return output;
  }
  const im = complex[1];
  im[0] = 0;
  im[half] = 0;
  for (let k = 1; k < half; k++) im[k] = x2[N - k];
  return complex;
}
function inverseTransform(N, entry) {
  const { x: x2, tw, stages } = entry;
  const numStages = stages.length;
  let n2 = N << 1;
  for (let s = 0; s < numStages; s++) {
    n2 >>= 1;
    const n4 = n2 >>> 2;
    const n8 = n4 >>> 1;
    const si = numStages - 1 - s;
    let ix = 0, id = n2 << 1;
    do {
      for (let i0 = ix; i0 < N; i0 += id) {
        const i1 = i0, i2 = i1 + n4, i3 = i2 + n4, i4 = i3 + n4;
        let t1 = x2[i1] - x2[i3];
        x2[i1] += x2[i3];
        x2[i2] += x2[i2];
        x2[i4] += x2[i4];
        x2[i3] = t1 - x2[i4];
        x2[i4] += t1;
      }
      ix = (id << 1) - n2;
      id <<= 2;
    } while (ix < N);
    if (n8 >= 1) {
      ix = 0;
      id = n2 << 1;
      do {
        for (let i0 = ix; i0 < N; i0 += id) {
          const j1 = i0 + n8, j2 = j1 + n4, j3 = j2 + n4, j4 = j3 + n4;
          let t1 = x2[j1] - x2[j2];
          x2[j1] += x2[j2];
          let t2 = x2[j4] + x2[j3];
          x2[j2] = x2[j4] - x2[j3];
          t2 = -t2 * Math.SQRT2;
          t1 *= Math.SQRT2;
          x2[j3] = t2 + t1;
          x2[j4] = t2 - t1;
        }
        ix = (id << 1) - n2;
        id <<= 2;
      } while (ix < N);
    }
    const { offset, count } = stages[si];
    for (let j = 0; j < count; j++) {
      const ti = offset + j << 2;
      const cc1 = tw[ti], ss1 = tw[ti + 1], cc3 = tw[ti + 2], ss3 = tw[ti + 3];
      ix = 0;
      id = n2 << 1;
      do {
        for (let i0 = ix; i0 < N; i0 += id) {
          const i1 = i0 + j + 1;
          const i2 = i1 + n4;
          const i3 = i2 + n4;
          const i4 = i3 + n4;
          const i5 = i0 + n4 - j - 1;
          const i6 = i5 + n4;
          const i7 = i6 + n4;
          const i8 = i7 + n4;
          let t1 = x2[i1] - x2[i6];
          x2[i1] += x2[i6];
          let t2 = x2[i5] - x2[i2];
          x2[i5] += x2[i2];
          let t3 = x2[i8] + x2[i3];
          x2[i6] = x2[i8] - x2[i3];
          let t4 = x2[i4] + x2[i7];
          x2[i2] = x2[i4] - x2[i7];
          const t5 = t1 - t4;
          t1 += t4;
          t4 = t2 - t3;
          t2 += t3;
          x2[i7] = t5 * ss1 - t4 * cc1;
          x2[i3] = t5 * cc1 + t4 * ss1;
          x2[i4] = t1 * cc3 - t2 * ss3;
          x2[i8] = t1 * ss3 + t2 * cc3;
        }
        ix = (id << 1) - n2;
        id <<= 2;
      } while (ix < N);
    }
  }
  for (let ix = 0, id = 4; ix < N; id *= 4) {
    for (let i0 = ix; i0 < N; i0 += id) {
      const t = x2[i0] - x2[i0 + 1];
      x2[i0] += x2[i0 + 1];
      x2[i0 + 1] = t;
    }
    ix = 2 * (id - 1);
  }
}
function ifft(re, im, output) {
  const bins = re.length;
  const N = bins - 1 << 1;
  if (N < 2 || N & N - 1) throw Error("Input must have N/2+1 bins where N is power of 2 (>= 2).");
  const entry = getEntry(N);
  const { x: x2 } = entry;
  const half = N >>> 1;
  x2[0] = re[0];
  x2[half] = re[half];
  for (let k = 1; k < half; k++) {
    x2[k] = re[k];
    x2[N - k] = im[k];
  }
  inverseTransform(N, entry);
  const { perm } = entry, inv = 1 / N;
  if (output && output.buffer !== x2.buffer) {
    for (let i = 0; i < N; i++) output[i] = x2[perm[i]] * inv;
    return output;
  }
  for (let i = 0; i < N; i++) {
    const j = perm[i];
    if (i < j) {
      const t = x2[i];
      x2[i] = x2[j];
      x2[j] = t;
    }
  }
  for (let i = 0; i < N; i++) x2[i] *= inv;
  if (output) {
    for (let i = 0; i < N; i++) output[i] = x2[i];
    return output;
  }
  return x2;
}

// src/core/signal/measure/frames.ts
function framer(size2, hop, use) {
  let kept = new Float32Array(0);
  return (samples) => {
    const all = new Float32Array(kept.length + samples.length);
    all.set(kept);
    all.set(samples, kept.length);
    let at = 0;
    for (; at + size2 <= all.length; at += hop) use(all.subarray(at, at + size2));
    kept = all.slice(at);
  };
}
var energyOf = (samples) => {
  let sum = 0;
  for (let i = 0; i < samples.length; i += 1) sum += samples[i] ** 2;
  return sum;
};

// src/core/signal/measure/power-spectrum.ts
function powerSpectrum(size2) {
  const window = hann(size2);
  const x2 = new Float64Array(size2);
  const out = [new Float64Array(size2 / 2 + 1), new Float64Array(size2 / 2 + 1)];
  const scale = 2 / (size2 * size2 * 0.375);
  return (frame2) => {
    for (let i = 0; i < size2; i += 1) x2[i] = frame2[i] * window[i];
    const [re, im] = fft(x2, out);
    const powers = new Float32Array(re.length);
    for (let k = 0; k < powers.length; k += 1) {
      const [a, b] = [re[k], im[k]];
      powers[k] = scale * (a * a + b * b);
    }
    return powers;
  };
}
function hann(size2) {
  return Float64Array.from({ length: size2 }, (_, i) => 0.5 - 0.5 * Math.cos(2 * Math.PI * i / size2));
}

// src/core/signal/measure/echo.ts
var [EARLIEST, LATEST] = [30, 1e3];
var [LOW, HIGH] = [300, 3400];
var [CLEAR, WEAKEST] = [7, -26];
var [ROOM_WITHIN_MS, ROOM_SHARE] = [12, 0.6];
var [LONGEST2, SHORTEST2] = [8, 1];
var SMOOTHED_HZ = 70;
var [ALL_OF, THEN_EACH] = [8, 3];
function ripple(re, im, step) {
  const out = new Float64Array(re.length);
  const [from, to] = [Math.ceil(LOW / step), Math.min(re.length, Math.floor(HIGH / step))];
  const reach = Math.max(2, Math.round(SMOOTHED_HZ / 2 / step));
  const logs = new Float64Array(re.length);
  for (let k = from; k < to; k += 1) {
    const [x2, y] = [re[k], im[k]];
    logs[k] = Math.log(x2 * x2 + y * y + 1e-20);
  }
  let sum = 0;
  let a = from;
  let b = from;
  for (let k = from; k < to; k += 1) {
    for (; b < Math.min(to, k + reach + 1); b += 1) sum += logs[b];
    for (; a < k - reach; a += 1) sum -= logs[a];
    out[k] = Math.max(-2.5, Math.min(2.5, logs[k] - sum / (b - a)));
  }
  return out;
}
function cepstrumOf(frame2, window, rate) {
  const size2 = frame2.length;
  const x2 = new Float64Array(size2);
  for (let i = 0; i < size2; i += 1) x2[i] = frame2[i] * window[i];
  const [re, im] = fft(x2);
  const flat = ripple(re, im, rate / size2);
  const bins = Math.floor(HIGH / (rate / size2)) - Math.ceil(LOW / (rate / size2));
  const wave = ifft(flat, new Float64Array(flat.length));
  for (let i = 0; i < size2; i += 1) wave[i] = wave[i] * size2 / (2 * bins);
  return wave;
}
function readEcho({ cepstrum, count }, rate) {
  const [from, to] = [
    Math.round(EARLIEST / 1e3 * rate),
    Math.min(cepstrum.length >> 1, Math.round(LATEST / 1e3 * rate))
  ];
  const span = cepstrum.subarray(from, to);
  if (count === 0 || span.length < 100) return null;
  const at = span.reduce((best, v, i) => v > span[best] ? i : best, 0);
  const sorted = span.toSorted();
  const spread = (sorted[Math.floor(0.75 * span.length)] - sorted[Math.floor(0.25 * span.length)]) / 1.349;
  const height = span[at];
  const room = ROOM_WITHIN_MS / 1e3 * rate;
  const close = span.filter(
    (v, i) => Math.abs(i - at) <= room && Math.abs(i - at) > rate / LOW && v > height * ROOM_SHARE
  );
  if (height < CLEAR * spread || close.length > 0) return null;
  const gain = Math.min(0.99, height / count);
  const levelDb = 20 * Math.log10(gain);
  return levelDb >= WEAKEST ? { delayMs: (from + at) / rate * 1e3, levelDb } : null;
}
function echoFinder(rate, seconds, channels) {
  const most = Math.min(LONGEST2, seconds ?? LONGEST2);
  const size2 = 2 ** Math.floor(Math.log2(Math.max(SHORTEST2, most) * rate));
  const window = hann(size2);
  const sum = { cepstrum: new Float64Array(size2), count: 0 };
  const waiting = Array.from({ length: channels }, () => []);
  const framers = waiting.map((frames) => framer(size2, size2, (frame2) => frames.push(frame2.slice())));
  let seen = 0;
  const use = () => {
    while (waiting.every((frames) => frames.length > 0)) {
      const heads = waiting.map((frames) => frames.shift());
      seen += 1;
      if (seen > ALL_OF && seen % THEN_EACH !== 0) continue;
      const [loudest] = heads.map((frame2) => ({ frame: frame2, energy: energyOf(frame2) })).sort((a, b) => b.energy - a.energy);
      if (!loudest || loudest.energy / size2 < 1e-8) continue;
      const wave = cepstrumOf(loudest.frame, window, rate);
      for (let i = 0; i < wave.length; i += 1) sum.cepstrum[i] = sum.cepstrum[i] + wave[i];
      sum.count += 1;
    }
  };
  return {
    push(samples, channel) {
      framers[channel]?.(samples);
      if (channel === channels - 1) use();
    },
    finish: () => readEcho(sum, rate)
  };
}

// src/core/signal/measure/gaps.ts
var [SHORTEST3, LONGEST3] = [3, 400];
var [DEPTH, LOUD] = [30, -45];
var BESIDE2 = 3;
var UNDER_FLOOR = 8;
var AT_FULL_VOICE = 6;
var NOTHING = 1e-12;
var ratio = (db) => 10 ** (db / 10);
function gapsOf({ powers, rough, active }, msPerHop) {
  const found = [];
  const floor = quantile(rough.toSorted(), 0.05);
  const under = floor > NOTHING ? floor / ratio(UNDER_FLOOR) : NOTHING;
  const loud = floor > NOTHING ? ratio(LOUD) : active / ratio(AT_FULL_VOICE);
  const beside = floor > NOTHING ? BESIDE2 : 1;
  for (let i = BESIDE2; i < powers.length - BESIDE2; i += 1) {
    if (rough[i] > under || rough[i - 1] <= under) continue;
    let j = i;
    while (j < powers.length && rough[j] <= under) j += 1;
    const length = (j - i) * msPerHop;
    if (length >= SHORTEST3 && length <= LONGEST3 && j < powers.length - BESIDE2 && isCut2(powers, [i, j], beside, loud)) {
      found.push({ atSeconds: i * msPerHop / 1e3, lengthMs: length });
    }
    i = j;
  }
  return found;
}
function isCut2(powers, [from, to], beside, loud) {
  const inside = powers.subarray(from, to).reduce((a, b) => Math.max(a, b), 0);
  const least = Math.max(loud, inside * ratio(DEPTH));
  const mean2 = (a, b) => powers.subarray(a, b).reduce((x2, y) => x2 + y, 0) / (b - a);
  return mean2(from - beside, from) >= least && mean2(to, to + beside) >= least;
}

// src/core/signal/measure/hum.ts
var [OVER3, FAMILY] = [9, 2];
var OVER_ALONE = 18;
var HIGHEST = 1e3;
var LEAST2 = -96;
function linesOf(powers, step, fundamental) {
  const lines = [];
  for (let harmonic = 1; harmonic * fundamental <= HIGHEST; harmonic += 1) {
    const hertz = harmonic * fundamental;
    const middle = hertz / step;
    const reach = 2 + 5e-3 * hertz / step;
    const [from, to] = [Math.round(middle - reach), Math.round(middle + reach)];
    if (to + 2 >= powers.length) break;
    const apart = Math.round(fundamental / 2 / step);
    const beside = [
      ...powers.subarray(Math.max(1, from - apart), from),
      ...powers.subarray(to + 1, to + 1 + apart)
    ];
    const around = quantile(
      beside.sort((a, b) => a - b),
      0.5
    );
    const inside = powers.subarray(from, to + 1);
    const top = inside.reduce((a, b) => Math.max(a, b), 0);
    const power = Math.max(0, inside.reduce((a, b) => a + b, 0) - around * inside.length);
    lines.push({ hertz, harmonic, power, over: powerToDb(top / Math.max(around, 1e-20)) });
  }
  return lines;
}
function humOf(powers, step) {
  if (!powers) return null;
  const families = [50, 60].map((fundamental) => {
    const lines = linesOf(powers, step, fundamental);
    const out = lines.filter(({ over, hertz }) => over >= OVER3 && hertz % 300 !== 0);
    const low2 = out.filter(({ harmonic }) => harmonic <= 2);
    const is = low2.length > 0 && (out.length >= FAMILY || low2.some(({ over }) => over >= OVER_ALONE));
    return { fundamental, is, lines: out, power: out.reduce((sum, line) => sum + line.power, 0) };
  });
  const [best] = families.filter(({ is }) => is).sort((a, b) => b.power - a.power);
  if (!best) return null;
  const levelDbfs = powerToDb(best.power);
  if (levelDbfs < LEAST2) return null;
  const low = best.lines.filter(({ harmonic }) => harmonic <= 3).reduce((sum, line) => sum + line.power, 0);
  return {
    fundamentalHz: best.fundamental,
    levelDbfs,
    kind: low >= best.power / 2 ? "hum" : "buzz",
    lines: best.lines.map(({ hertz, power }) => ({ hertz, levelDbfs: powerToDb(power) }))
  };
}

// src/core/signal/measure/image.ts
var EMPTY = 20;
var NOISE_ALONE = 4;
var [SAME, OPPOSITE] = [0.985, -0.9];
function imageOf(envelope2) {
  const { channels, means, cross } = envelope2;
  const [a, b] = means;
  if (channels.length < 2 || !a || !b || !cross)
    return { kind: "mono", correlation: null, leftOverRightDb: null };
  const [left, right] = [windowPowers(envelope2, 0), windowPowers(envelope2, 1)];
  const [l2, r2] = [left, right].map(pausesOf);
  const difference = l2.activeDbfs - r2.activeDbfs;
  const leftOverRightDb = Number.isFinite(difference) ? difference : null;
  const isEmpty = (one, over) => one.activeDbfs === -Infinity || over >= EMPTY || over > 10 && one.activeDbfs - (one.floorDbfs ?? one.activeDbfs) < NOISE_ALONE;
  if (l2.activeDbfs === -Infinity && r2.activeDbfs === -Infinity)
    return { kind: "dual-mono", correlation: null, leftOverRightDb };
  if (isEmpty(r2, difference)) return { kind: "left-only", correlation: null, leftOverRightDb };
  if (isEmpty(l2, -difference)) return { kind: "right-only", correlation: null, leftOverRightDb };
  const correlation = correlationOf(left, right, windowed(cross, a, b));
  const kind = correlation >= SAME ? "dual-mono" : correlation <= OPPOSITE ? "inverted" : "stereo";
  return { kind, correlation, leftOverRightDb };
}
function correlationOf(l2, r2, c) {
  const least = l2.reduce((most, p, i) => Math.max(most, p + r2[i]), 0) / 100;
  let [ll, rr, lr] = [0, 0, 0];
  l2.forEach((p, i) => {
    if (p + r2[i] < least) return;
    ll += p;
    rr += r2[i];
    lr += c[i];
  });
  return ll > 0 && rr > 0 ? lr / Math.sqrt(ll * rr) : 0;
}

// src/core/signal/measure/levels.ts
var OUTLINE_MS = 20;
var [SUM2, SQUARES, LOW2, HIGH2] = [0, 1, 2, 3];
function readHop2(x2, from, to, out) {
  let sum = 0;
  let squares = 0;
  let low = 0;
  let high = 0;
  for (let i = from; i < to; i += 1) {
    const v = x2[i];
    sum += v;
    squares += v * v;
    if (v > high) high = v;
    else if (v < low) low = v;
  }
  out[SUM2] = sum;
  out[SQUARES] = squares;
  out[LOW2] = low;
  out[HIGH2] = high;
}
function productOf(l2, r2, from, to) {
  let sum = 0;
  for (let i = from; i < to; i += 1) sum += l2[i] * r2[i];
  return sum;
}
function channelLevel(hop) {
  const [powers, means, outline] = [growing(), growing(), growing()];
  const out = new Float64Array(4);
  let [sum, squares, peak, low, high, hops] = [0, 0, 0, 0, 0, 0];
  return {
    powers,
    means,
    outline,
    /** Gives back the tops of the hops. */
    push(x2) {
      const tops = new Float32Array(Math.ceil(x2.length / hop));
      for (let h2 = 0; h2 < tops.length; h2 += 1) {
        const [from, to] = [h2 * hop, Math.min(x2.length, (h2 + 1) * hop)];
        readHop2(x2, from, to, out);
        const [lowest, highest] = [out[LOW2], out[HIGH2]];
        tops[h2] = Math.max(highest, -lowest);
        sum += out[SUM2];
        squares += out[SQUARES];
        [low, high] = [Math.min(low, lowest), Math.max(high, highest)];
        if (to - from < hop) continue;
        powers.add(out[SQUARES] / hop);
        means.add(out[SUM2] / hop);
        hops += 1;
        if (hops % OUTLINE_MS !== 0) continue;
        outline.add(low);
        outline.add(high);
        [low, high] = [0, 0];
      }
      peak = tops.reduce((a, b) => b > a ? b : a, peak);
      return tops;
    },
    level: (samples) => ({
      samplePeakDbfs: amplitudeToDb(peak),
      rmsDbfs: powerToDb(squares / Math.max(1, samples)),
      dcOffset: sum / Math.max(1, samples)
    })
  };
}
function levels({ sampleRate, channels }) {
  const hop = hopOf(sampleRate);
  const each = Array.from({ length: channels }, () => channelLevel(hop));
  const products = growing();
  let samples = 0;
  return {
    /** Gives back what other measures want to know first: the tops of every hop. */
    push(piece) {
      const [l2, r2] = piece;
      samples += l2?.length ?? 0;
      if (l2 && r2) {
        for (let from = 0; from + hop <= l2.length; from += hop)
          products.add(productOf(l2, r2, from, from + hop) / hop);
      }
      return each.map((one, channel) => one.push(piece[channel]));
    },
    finish() {
      return {
        samples,
        channels: each.map((one) => one.level(samples)),
        envelope: {
          hop,
          channels: each.map(({ powers }) => powers.all()),
          means: each.map(({ means }) => means.all()),
          ...channels > 1 && { cross: products.all() },
          outline: { hop: hop * OUTLINE_MS, channels: each.map(({ outline }) => outline.all()) }
        }
      };
    }
  };
}

// src/core/signal/measure/k-weighting.ts
function kWeighting(sampleRate) {
  return [shelf(sampleRate), highPass(sampleRate)];
}
function shelf(sampleRate) {
  const [hertz, gainDb, q] = [1681.974450955533, 3.999843853973347, 0.7071752369554196];
  const k = Math.tan(Math.PI * hertz / sampleRate);
  const high = 10 ** (gainDb / 20);
  const band = high ** 0.4996667741545416;
  const a0 = 1 + k / q + k * k;
  return {
    b: [
      (high + band * k / q + k * k) / a0,
      2 * (k * k - high) / a0,
      (high - band * k / q + k * k) / a0
    ],
    a: [2 * (k * k - 1) / a0, (1 - k / q + k * k) / a0]
  };
}
function highPass(sampleRate) {
  const [hertz, q] = [38.13547087602444, 0.5003270373238773];
  const k = Math.tan(Math.PI * hertz / sampleRate);
  const a0 = 1 + k / q + k * k;
  return { b: [1, -2, 1], a: [2 * (k * k - 1) / a0, (1 - k / q + k * k) / a0] };
}

// src/core/signal/measure/loudness.ts
var STEPS_A_SECOND = 100;
var [MOMENTARY, SHORT_TERM, BLOCK_APART] = [40, 300, 10];
var OFFSET = -0.691;
var ABSOLUTE_GATE = -70;
var RELATIVE_GATE = -10;
var RANGE_GATE = -20;
var RANGE_FROM = 0.1;
var RANGE_TO = 0.95;
var toLufs = (power) => power > 0 ? OFFSET + 10 * Math.log10(power) : -Infinity;
var toPower = (lufs) => 10 ** ((lufs - OFFSET) / 10);
function filtered(x2, [from, to], [shelf2, pass], state) {
  const [b0, b1, b2] = shelf2.b;
  const [a1, a2] = shelf2.a;
  const [c1, c2] = pass.a;
  let s1 = state[0];
  let s2 = state[1];
  let t1 = state[2];
  let t2 = state[3];
  let sum = 0;
  for (let i = from; i < to; i += 1) {
    const v = x2[i];
    const y = b0 * v + s1;
    s1 = b1 * v - a1 * y + s2;
    s2 = b2 * v - a2 * y;
    const z = y + t1;
    t1 = t2 - 2 * y - c1 * z;
    t2 = y - c2 * z;
    sum += z * z;
  }
  state[0] = s1;
  state[1] = s2;
  state[2] = t1;
  state[3] = t2;
  return sum;
}
function weighted(sampleRate, step) {
  const filters = kWeighting(sampleRate);
  const state = new Float64Array(4);
  let [sum, at, index] = [0, 0, 0];
  const lengthOf = (of) => Math.round((of + 1) * sampleRate / STEPS_A_SECOND) - Math.round(of * sampleRate / STEPS_A_SECOND);
  return (samples) => {
    for (let i = 0; i < samples.length; ) {
      const stop = Math.min(samples.length, i + lengthOf(index) - at);
      sum += filtered(samples, [i, stop], filters, state);
      at += stop - i;
      i = stop;
      if (at < lengthOf(index)) continue;
      step(sum);
      index += 1;
      sum = 0;
      at = 0;
    }
  };
}
function* windows(powers, length, apart) {
  let sum = 0;
  for (let i = 0; i < powers.length; i += 1) {
    sum += powers[i];
    if (i >= length) sum -= powers[i - length];
    if (i >= length - 1 && (i - length + 1) % apart === 0) yield Math.max(0, sum) / length;
  }
}
var meanOf = (powers) => powers.reduce((a, b) => a + b, 0) / powers.length;
function integrated(powers) {
  const loud = [...windows(powers, MOMENTARY, BLOCK_APART)].filter((p) => p > toPower(ABSOLUTE_GATE));
  if (loud.length === 0) return -Infinity;
  const gate = meanOf(loud) * 10 ** (RELATIVE_GATE / 10);
  return toLufs(meanOf(loud.filter((p) => p > gate)));
}
function range(powers) {
  const loud = [...windows(powers, SHORT_TERM, BLOCK_APART)].filter((p) => p >= toPower(ABSOLUTE_GATE));
  if (loud.length === 0) return 0;
  const gate = meanOf(loud) * 10 ** (RANGE_GATE / 10);
  const kept = loud.filter((p) => p >= gate).sort((a, b) => a - b);
  const at = (share) => kept[Math.round((kept.length - 1) * share)] ?? 0;
  return toLufs(at(RANGE_TO)) - toLufs(at(RANGE_FROM));
}
var largest = (values) => {
  let most = 0;
  for (const value of values) most = Math.max(most, value);
  return most;
};
function loudness({ sampleRate, channels }) {
  const first = growing();
  const length = sampleRate / STEPS_A_SECOND;
  const each = Array.from({ length: channels }, growing);
  const filters = each.map((steps) => weighted(sampleRate, (energy) => steps.add(energy / length)));
  return {
    push(piece) {
      piece.forEach((samples, channel) => filters[channel]?.(samples));
    },
    finish() {
      const powers = each.map((steps) => steps.all()).reduce((sum, more) => sum.map((p, i) => p + more[i]));
      for (const power of windows(powers, SHORT_TERM, BLOCK_APART)) first.add(toLufs(power));
      return {
        integratedLufs: integrated(powers),
        loudnessRangeLu: range(powers),
        momentaryMaxLufs: toLufs(largest(windows(powers, MOMENTARY, 1))),
        shortTermMaxLufs: toLufs(largest(windows(powers, SHORT_TERM, 1))),
        shortTerm: first.all()
      };
    }
  };
}

// src/core/signal/measure/quietest.ts
var [QUIET_SHARE2, FEWEST] = [0.2, 3];
function quietest(many, transform2) {
  const kept = [];
  let [seen, size2] = [0, 1];
  const used = () => kept.slice(0, Math.max(FEWEST, Math.ceil(seen * QUIET_SHARE2)));
  return {
    offer(frame2) {
      const energy = energyOf(frame2);
      seen += 1;
      size2 = frame2.length;
      const last = kept[kept.length - 1];
      if (energy === 0 || kept.length === many && last && energy >= last.energy) return;
      if (kept.length === many) kept.pop();
      const at = kept.findIndex((one) => one.energy > energy);
      kept.splice(at < 0 ? kept.length : at, 0, { energy, powers: transform2(frame2) });
    },
    spectrum(share) {
      const [first] = kept;
      if (!first) return void 0;
      const frames = used();
      const column = new Float32Array(frames.length);
      return first.powers.map((_, bin) => {
        frames.forEach(({ powers }, i) => {
          column[i] = powers[bin];
        });
        column.sort();
        return column[Math.min(frames.length - 1, Math.floor(share * frames.length))];
      });
    },
    level: (share) => {
      const frames = used();
      return (frames[Math.min(frames.length - 1, Math.floor(share * frames.length))]?.energy ?? 0) / size2;
    }
  };
}

// src/core/signal/measure/sides.ts
var MOST_MS = 40;
var CLEAR2 = 10;
function sideDelay(sampleRate, size2) {
  const window = hann(size2);
  const [re, im] = [new Float64Array(size2 / 2 + 1), new Float64Array(size2 / 2 + 1)];
  const x2 = new Float64Array(size2);
  const bins = () => [new Float64Array(size2 / 2 + 1), new Float64Array(size2 / 2 + 1)];
  const [one, other] = [bins(), bins()];
  let count = 0;
  const transform2 = (samples, out) => {
    for (let k = 0; k < size2; k += 1) x2[k] = samples[k] * window[k];
    return fft(x2, out);
  };
  return {
    push(left, right) {
      const [a, b] = transform2(left, one);
      const [c, d] = transform2(right, other);
      for (let k = 0; k < re.length; k += 1) {
        const p = a[k] * c[k] + b[k] * d[k];
        const q = a[k] * d[k] - b[k] * c[k];
        const length = Math.sqrt(p * p + q * q) || 1;
        re[k] = re[k] + p / length;
        im[k] = im[k] + q / length;
      }
      count += 1;
    },
    finish() {
      if (count === 0) return null;
      const wave = ifft(re, im);
      const most = Math.min(size2 / 2 - 1, Math.round(MOST_MS / 1e3 * sampleRate));
      let [best, height, squares] = [0, 0, 0];
      for (let lag = -most; lag <= most; lag += 1) {
        const v = Math.abs(wave[(lag + size2) % size2]);
        squares += v * v;
        if (v > height) [best, height] = [lag, v];
      }
      const spread = Math.sqrt(squares / (2 * most + 1));
      return height > CLEAR2 * spread || height > 0 && spread < height / CLEAR2 ? { delayMs: best / sampleRate * 1e3 } : null;
    }
  };
}

// src/core/signal/measure/thumps.ts
var CORNER = 50;
var WINDOW_SECONDS = 0.05;
var [LOUD2, OVER4, SHARE] = [10 ** -3.8, 100, 0.4];
function thumpFinder(rate) {
  const w = 2 * Math.PI * CORNER / rate;
  const alpha = Math.sin(w) / Math.SQRT2;
  const a0 = 1 + alpha;
  const b = (1 - Math.cos(w)) / 2 / a0;
  const [a1, a2] = [-2 * Math.cos(w) / a0, (1 - alpha) / a0];
  const size2 = Math.round(WINDOW_SECONDS * rate);
  const [low, whole] = [growing(), growing()];
  const state = { s1: 0, s2: 0, at: 0, lows: 0, all: 0, mean: 0 };
  return {
    push(x2) {
      let { s1, s2, at, lows, all, mean: mean2 } = state;
      for (let i = 0; i < x2.length; i += 1) {
        const raw = x2[i];
        mean2 += (raw - mean2) * 5e-4;
        const v = raw - mean2;
        const y = b * v + s1;
        s1 = 2 * b * v - a1 * y + s2;
        s2 = b * v - a2 * y;
        lows += y * y;
        all += v * v;
        at += 1;
        if (at < size2) continue;
        low.add(lows / size2);
        whole.add(all / size2);
        at = 0;
        lows = 0;
        all = 0;
      }
      Object.assign(state, { s1, s2, at, lows, all, mean: mean2 });
    },
    finish() {
      const powers = low.all();
      const usual = quantile(powers.toSorted(), 0.5);
      const total = whole.all();
      const loud = [...powers.keys()].filter((i) => {
        const p = powers[i];
        return p > LOUD2 && p > OVER4 * usual && p > SHARE * total[i];
      });
      return loud.filter((i, n) => n === 0 || i - loud[n - 1] > 4).map((i) => i * WINDOW_SECONDS);
    }
  };
}

// src/core/signal/measure/true-peak.ts
var FIRST3 = [
  0.001708984375,
  0.010986328125,
  -0.0196533203125,
  0.033203125,
  -0.0594482421875,
  0.1373291015625,
  0.97216796875,
  -0.102294921875,
  0.047607421875,
  -0.026611328125,
  0.014892578125,
  -0.00830078125
];
var SECOND2 = [
  -0.0291748046875,
  0.029296875,
  -0.0517578125,
  0.089111328125,
  -0.16650390625,
  0.465087890625,
  0.77978515625,
  -0.2003173828125,
  0.1015625,
  -0.0582275390625,
  0.0330810546875,
  -0.0189208984375
];
var PHASES = [FIRST3, SECOND2, SECOND2.toReversed(), FIRST3.toReversed()].map(
  (phase) => Float64Array.from(phase)
);
var TAPS = 12;
var bound = (phase) => [
  Math.abs(phase[5] ?? 0) + Math.abs(phase[6] ?? 0),
  phase.reduce((sum, tap, i) => i === 5 || i === 6 ? sum : sum + Math.abs(tap), 0)
];
var PAIRS = [[0, 3], [1, 2]].map(([a, b]) => {
  const [one, other] = [PHASES[a], PHASES[b]];
  const [middle, rest2] = bound(one);
  return { one, other, middle, rest: rest2 };
});
var MOST = Math.max(...PAIRS.map(({ middle, rest: rest2 }) => middle + rest2));
function larger(x2, at, phase, most) {
  let sum = 0;
  for (let tap = 0; tap < TAPS; tap += 1) sum += phase[tap] * x2[at - tap];
  const size2 = Math.abs(sum);
  return size2 > most ? size2 : most;
}
function peakOf(x2, from, to, top, most) {
  const [outer, inner] = PAIRS;
  for (let i = from; i < to; i += 1) {
    const [a, b] = [Math.abs(x2[i - 5]), Math.abs(x2[i - 6])];
    const centre = a > b ? a : b;
    if (inner.middle * centre + inner.rest * top > most) {
      most = larger(x2, i, inner.other, larger(x2, i, inner.one, most));
    }
    if (outer.middle * centre + outer.rest * top > most) {
      most = larger(x2, i, outer.other, larger(x2, i, outer.one, most));
    }
  }
  return most;
}
function truePeak({ sampleRate, channels }) {
  const hop = hopOf(sampleRate);
  const peaks = new Float64Array(channels);
  const kept = Array.from({ length: channels }, () => ({ samples: new Float32Array(TAPS - 1), top: 0 }));
  const look = (samples, tops, channel) => {
    const before = kept[channel] ?? { samples: new Float32Array(TAPS - 1), top: 0 };
    const seam = new Float32Array(2 * (TAPS - 1));
    seam.set(before.samples);
    seam.set(samples.subarray(0, TAPS - 1), TAPS - 1);
    const start2 = Math.max(before.top, tops[0] ?? 0);
    const over = TAPS - 1 + Math.min(TAPS - 1, samples.length);
    let most = peakOf(seam, TAPS - 1, over, start2, peaks[channel]);
    for (let h2 = 0, last = start2; h2 < tops.length; h2 += 1) {
      const now = tops[h2];
      const top = now > last ? now : last;
      last = now;
      if (MOST * top <= most) continue;
      most = peakOf(samples, Math.max(TAPS - 1, h2 * hop), Math.min(samples.length, (h2 + 1) * hop), top, most);
    }
    peaks[channel] = most;
    const tail = new Float32Array(TAPS - 1);
    tail.set(
      samples.subarray(Math.max(0, samples.length - tail.length)),
      Math.max(0, tail.length - samples.length)
    );
    kept[channel] = { samples: tail, top: Math.max(...tops.slice(-TAPS)) };
  };
  return {
    push: (piece, tops) => {
      piece.forEach((samples, channel) => look(samples, tops[channel], channel));
    },
    finish: () => {
      const after = new Float32Array(TAPS);
      kept.forEach((_, channel) => look(after, new Float32Array(Math.ceil(TAPS / hop)), channel));
      return [...peaks].map(amplitudeToDb);
    }
  };
}

// src/core/signal/measure/whine.ts
var [LOWEST2, HIGHEST_SHARE] = [1e3, 0.45];
var [OVER5, LEAST3] = [18, -90];
var BESIDE3 = 24;
function whineOf(powers, step) {
  if (!powers) return null;
  const last = Math.floor(powers.length * 2 * HIGHEST_SHARE);
  let best = null;
  for (let bin = Math.ceil(LOWEST2 / step); bin < last; bin += 1) {
    const top = powers[bin];
    if (top < powers[bin - 1] || top < powers[bin + 1]) continue;
    const near = [...powers.subarray(bin - BESIDE3, bin - 3), ...powers.subarray(bin + 4, bin + 4 + BESIDE3)];
    const around = quantile(
      near.sort((a, b) => a - b),
      0.5
    );
    if (powerToDb(top / Math.max(around, 1e-20)) < OVER5) continue;
    const levelDbfs = powerToDb(powers.subarray(bin - 2, bin + 3).reduce((a, b) => a + b, 0));
    if (levelDbfs >= LEAST3 && levelDbfs > (best?.levelDbfs ?? -Infinity))
      best = { hertz: bin * step, levelDbfs };
  }
  return best;
}

// src/core/signal/measure/measure.ts
var [WHOLE, MAINS, KEPT] = [4096, 2048, 24];
var [ALL_OF_THE_FIRST, THEN_EACH2] = [64, 8];
var STEADY = 0.4;
var SPOKEN_IN = 10;
var [ECHO_RATE, MAINS_RATE] = [8e3, 2600];
function channelSpectra(sampleRate) {
  const transform2 = powerSpectrum(WHOLE);
  const quiet = quietest(KEPT, transform2);
  const active = new Float64Array(WHOLE / 2 + 1);
  let [seen, added] = [0, 0];
  const cut = framer(WHOLE, WHOLE, (frame2) => {
    quiet.offer(frame2);
    seen += 1;
    if (seen > ALL_OF_THE_FIRST && seen % THEN_EACH2 !== 0) return;
    const powers = transform2(frame2);
    for (let k = 0; k < powers.length; k += 1) active[k] = active[k] + powers[k];
    added += 1;
  });
  return {
    push: cut,
    finish: () => {
      const pauses = quiet.spectrum(0.25);
      return {
        stepHz: sampleRate / WHOLE,
        active: Float32Array.from(active, (p) => p / Math.max(1, added)),
        ...pauses && { quiet: pauses }
      };
    }
  };
}
function lower(sampleRate) {
  const first = Math.max(1, sampleRate / ECHO_RATE | 0);
  const second = Math.max(1, sampleRate / first / MAINS_RATE | 0);
  const [toEcho, toMains] = [decimator(first), decimator(second)];
  const rate = sampleRate / first / second;
  const quiet = quietest(KEPT, powerSpectrum(MAINS));
  const thumps = thumpFinder(rate);
  const cut = framer(MAINS, MAINS / 2, quiet.offer);
  const level = (power, bin) => {
    const hertz = bin * rate / MAINS;
    return power / (droopAt(first, hertz / sampleRate) * droopAt(second, hertz / (sampleRate / first))) ** 2;
  };
  return {
    rate: sampleRate / first,
    push(samples) {
      const middle = toEcho(samples);
      const low = toMains(middle);
      cut(low);
      thumps.push(low);
      return middle;
    },
    /** `floor`: mean square of the pauses. Where none lasts for a frame, a voice stands in them all, and nothing is said. */
    hum: (floor) => floor !== void 0 && quiet.level(STEADY) > SPOKEN_IN * floor ? null : humOf(quiet.spectrum(STEADY)?.map(level), rate / MAINS),
    thumps: thumps.finish
  };
}
function delayBetween({ sampleRate, channels }) {
  if (channels < 2) return { push: () => void 0, finish: () => null };
  const size2 = WHOLE;
  const delay = sideDelay(sampleRate, size2);
  const frames = [void 0];
  let seen = 0;
  const right = framer(size2, size2, (frame2) => waiting.push(frame2.slice()));
  const waiting = [];
  const lefts = [];
  const left = framer(size2, size2, (frame2) => lefts.push(frame2.slice()));
  return {
    push([l2, r2]) {
      if (l2) left(l2);
      if (r2) right(r2);
      while (lefts.length > 0 && waiting.length > 0) {
        [frames[0]] = [lefts.shift()];
        const other = waiting.shift();
        seen += 1;
        if (seen <= ALL_OF_THE_FIRST || seen % (2 * THEN_EACH2) === 0)
          delay.push(frames[0], other);
      }
    },
    finish: delay.finish
  };
}
var PIECE_HOPS = 1024;
function recut({ sampleRate, channels }, use) {
  const size2 = hopOf(sampleRate) * PIECE_HOPS;
  let waiting = Array.from({ length: channels }, () => new Float32Array(size2));
  let filled = 0;
  return {
    push(piece) {
      const length = piece[0]?.length ?? 0;
      for (let from = 0; from < length; ) {
        const to = Math.min(length, from + size2 - filled);
        waiting.forEach(
          (kept, channel) => kept.set(piece[channel].subarray(from, to), filled)
        );
        filled += to - from;
        from = to;
        if (filled < size2) continue;
        use(waiting);
        waiting = waiting.map(() => new Float32Array(size2));
        filled = 0;
      }
    },
    rest() {
      if (filled > 0) use(waiting.map((kept) => kept.subarray(0, filled)));
    }
  };
}
function readOff(each, { envelope: envelope2 }, { roughness }, shape) {
  const windows2 = envelope2.channels.map((_, channel) => windowPowers(envelope2, channel));
  const pauses = windows2.map(pausesOf);
  const main = pauses.reduce(
    (best, p, i) => p.activeDbfs > (pauses[best]?.activeDbfs ?? -Infinity) ? i : best,
    0
  );
  const spectrum2 = each[main]?.spectra.finish() ?? { stepHz: 0, active: new Float32Array() };
  const hums = each.flatMap(({ low }, channel) => {
    const floor = pauses[channel]?.floorDbfs;
    const hum = low.hum(floor === void 0 ? void 0 : 10 ** (floor / 10));
    return hum ? [{ ...hum, channel }] : [];
  });
  const powers = envelope2.channels[main] ?? new Float32Array();
  const rough = roughness[main] ?? new Float32Array();
  const active = 10 ** ((pauses[main]?.activeDbfs ?? -Infinity) / 10);
  return {
    pauses,
    windows: windows2,
    hum: hums.sort((a, b) => b.levelDbfs - a.levelDbfs)[0] ?? null,
    whine: whineOf(spectrum2.quiet, spectrum2.stepHz),
    band: bandOf(spectrum2.active, spectrum2.quiet, spectrum2.stepHz),
    image: imageOf(envelope2),
    dropouts: gapsOf({ powers, rough, active }, envelope2.hop / shape.sampleRate * 1e3),
    thumps: each[main]?.low.thumps() ?? [],
    riseDb: riseInPauses(windows2[main] ?? new Float32Array()),
    spectrum: spectrum2
  };
}
var EDGE_SECONDS = 5e-3;
var besides = ({ atSeconds, lengthMs }, at) => at > atSeconds - EDGE_SECONDS && at < atSeconds + lengthMs / 1e3 + EDGE_SECONDS;
function measuring(shape, seconds) {
  const { sampleRate, channels } = shape;
  const level = levels(shape);
  const [loud, peaks, flat, jumps2] = [loudness(shape), truePeak(shape), clipping(shape), clicks(shape)];
  const each = Array.from({ length: channels }, () => ({
    spectra: channelSpectra(sampleRate),
    low: lower(sampleRate)
  }));
  const echo = echoFinder(each[0]?.low.rate ?? sampleRate, seconds, channels);
  const between = delayBetween(shape);
  const cut = recut(shape, (piece) => {
    const tops = level.push(piece);
    for (const stage of [loud, peaks, flat, jumps2]) stage.push(piece, tops);
    each.forEach(({ spectra, low }, channel) => {
      const samples = piece[channel];
      spectra.push(samples);
      echo.push(low.push(samples), channel);
    });
    between.push(piece);
  });
  return {
    push: cut.push,
    finish() {
      cut.rest();
      const [found, jumped] = [level.finish(), jumps2.finish()];
      const rest2 = readOff(each, found, jumped, shape);
      return {
        sampleRate,
        channels,
        durationSeconds: found.samples / sampleRate,
        loudness: loud.finish(),
        truePeakDbtp: peaks.finish(),
        levels: found.channels,
        clipping: flat.finish(),
        sideDelay: rest2.image.correlation === null ? null : between.finish(),
        echo: echo.finish(),
        clicks: jumped.seconds.filter((at) => !rest2.dropouts.some((hole) => besides(hole, at))),
        outline: found.envelope.outline,
        ...rest2
      };
    }
  };
}

// src/core/signal/files/wav.ts
var [PCM, FLOAT, EXTENSIBLE] = [1, 3, 65534];
var [SLOWEST, FASTEST, MOST_CHANNELS] = [4e3, 384e3, 8];
var UNKNOWN = 4294967295;
var name = (view, at) => String.fromCharCode(...[0, 1, 2, 3].map((i) => view.getUint8(at + i)));
function formatAt(view, at, length) {
  if (length < 16 || at + 16 > view.byteLength) return void 0;
  const tag = view.getUint16(at, true);
  const known = tag === EXTENSIBLE && length >= 40 && at + 26 <= view.byteLength ? view.getUint16(at + 24, true) : tag;
  return {
    tag: known,
    channels: view.getUint16(at + 2, true),
    sampleRate: view.getUint32(at + 4, true),
    bits: view.getUint16(at + 14, true)
  };
}
function problemOf({ tag, channels, sampleRate, bits }) {
  if (tag !== PCM && tag !== FLOAT) return { code: "encoding", tag };
  if (channels < 1 || channels > MOST_CHANNELS)
    return { code: "bad-format", name: "channels", value: channels };
  if (sampleRate < SLOWEST || sampleRate > FASTEST)
    return { code: "bad-format", name: "sample rate", value: sampleRate };
  const fits = tag === FLOAT ? [32, 64] : [8, 16, 24, 32];
  return fits.includes(bits) ? void 0 : { code: "bad-format", name: "bits a sample", value: bits };
}
function readWavHead(start2, size2) {
  const view = new DataView(start2.buffer, start2.byteOffset, start2.byteLength);
  const refuse = (problem) => ({ ok: false, problem });
  if (size2 === 0) return refuse({ code: "empty" });
  const kind = view.byteLength >= 12 ? name(view, 0) : "";
  if (kind !== "RIFF" && kind !== "RF64" && kind !== "BW64" || name(view, 8) !== "WAVE") {
    return refuse({ code: "not-wav", found: sayStart(start2) });
  }
  let [at, long] = [12, NaN];
  let format;
  while (at + 8 <= view.byteLength) {
    const [chunk2, length] = [name(view, at), view.getUint32(at + 4, true)];
    const body = at + 8;
    if (chunk2 === "ds64" && body + 16 <= view.byteLength) long = Number(view.getBigUint64(body + 8, true));
    if (chunk2 === "fmt ") format = formatAt(view, body, length);
    if (chunk2 === "data")
      return dataAt(format, body, length === UNKNOWN && kind !== "RIFF" ? long : length, size2);
    at = body + length + length % 2;
  }
  return refuse(format ? { code: "no-samples" } : { code: "no-format" });
}
function dataAt(format, from, said, size2) {
  if (!format) return { ok: false, problem: { code: "no-format" } };
  const problem = problemOf(format);
  if (problem) return { ok: false, problem };
  const frame2 = format.channels * format.bits / 8;
  const there = Math.max(0, size2 - from);
  const open2 = !Number.isFinite(said) || said === 0 || said === UNKNOWN;
  const wanted = open2 ? there : Math.min(said, there);
  const bytes = Number.isFinite(wanted) ? Math.floor(wanted / frame2) * frame2 : wanted;
  if (bytes === 0) return { ok: false, problem: { code: "no-samples" } };
  const mended = open2 ? ["length"] : said > there ? ["cut-short"] : [];
  const { sampleRate, channels, bits } = format;
  return {
    ok: true,
    head: {
      sampleRate,
      channels,
      bits,
      isFloat: format.tag === FLOAT,
      from,
      bytes,
      mended
    }
  };
}
var sayStart = (start2) => String.fromCharCode(...start2.subarray(0, 12)).replace(/[^\x20-\x7e]/g, "\xB7");
function wavSamples({ channels, bits, isFloat }, bytes) {
  const width = bits / 8;
  const frames = Math.floor(bytes.byteLength / (width * channels));
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const out = Array.from({ length: channels }, () => new Float32Array(frames));
  if (bits === 16 && bytes.byteOffset % 2 === 0 && LITTLE_ENDIAN) {
    deal(new Int16Array(bytes.buffer, bytes.byteOffset, frames * channels), out);
    return out;
  }
  const read = reader(view, bits, isFloat);
  out.forEach((samples, channel) => {
    for (let i = 0, at = channel * width; i < frames; i += 1, at += width * channels) samples[i] = read(at);
  });
  return out;
}
var LITTLE_ENDIAN = new Uint8Array(Uint16Array.of(1).buffer)[0] === 1;
function deal(all, out) {
  const [left, right] = out;
  if (out.length === 2 && left && right) {
    for (let i = 0, at = 0; i < left.length; i += 1, at += 2) {
      left[i] = all[at] / 32768;
      right[i] = all[at + 1] / 32768;
    }
    return;
  }
  out.forEach((samples, channel) => {
    for (let i = 0, at = channel; i < samples.length; i += 1, at += out.length)
      samples[i] = all[at] / 32768;
  });
}
function reader(view, bits, isFloat) {
  const number = (v) => Number.isFinite(v) ? v : 0;
  if (isFloat) {
    return bits === 32 ? (at) => number(view.getFloat32(at, true)) : (at) => number(view.getFloat64(at, true));
  }
  switch (bits) {
    case 8:
      return (at) => (view.getUint8(at) - 128) / 128;
    case 16:
      return (at) => view.getInt16(at, true) / 32768;
    case 24:
      return (at) => (view.getUint16(at, true) + view.getInt8(at + 2) * 65536) / 8388608;
    default:
      return (at) => view.getInt32(at, true) / 2147483648;
  }
}

// ../../tmp/sc/probe.ts
var f = await open(process.argv[2]);
var { size } = await f.stat();
var t0 = performance.now();
var start = new Uint8Array(4096);
var { bytesRead } = await f.read(start, 0, 4096, 0);
var r = readWavHead(start.subarray(0, bytesRead), size);
if (!r.ok) {
  console.log(r);
  process.exit(2);
}
var h = r.head;
var m = measuring(h, h.bytes / (h.channels * h.bits / 8) / h.sampleRate);
var frame = h.channels * h.bits / 8;
var chunk = 32768 * frame;
var buf = new Uint8Array(chunk);
for (let at = h.from; at < h.from + h.bytes; at += chunk) {
  const n = Math.min(chunk, h.from + h.bytes - at);
  await f.read(buf, 0, n, at);
  m.push(wavSamples(h, buf.subarray(0, n)));
}
var x = m.finish();
console.error("ms", performance.now() - t0, "rss", process.memoryUsage().rss / 1e6);
var { envelope, spectrum, loudness: loudness2, ...rest } = x;
var { shortTerm, ...l } = loudness2;
console.log(JSON.stringify({ ...l, ...rest }, (k, v) => typeof v === "number" && !Number.isInteger(v) && Number.isFinite(v) ? +v.toFixed(3) : v === -Infinity ? "-inf" : v, 1).replace(/\n\s+/g, " "));
