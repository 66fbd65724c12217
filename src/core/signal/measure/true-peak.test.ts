import { expect, it } from 'vitest';
import { noise, random } from '../../../../testing/takes/random';
import { measuring } from './measure';

/** The interpolator of ITU-R BS.1770-5 Annex 2 as it stands there, every phase at every sample. */
const PHASE_0 = [
  0.001708984375, 0.010986328125, -0.0196533203125, 0.033203125, -0.0594482421875, 0.1373291015625,
  0.97216796875, -0.102294921875, 0.047607421875, -0.026611328125, 0.014892578125, -0.00830078125,
];
const PHASE_1 = [
  -0.0291748046875, 0.029296875, -0.0517578125, 0.089111328125, -0.16650390625, 0.465087890625, 0.77978515625,
  -0.2003173828125, 0.1015625, -0.0582275390625, 0.0330810546875, -0.0189208984375,
];
const PHASES = [PHASE_0, PHASE_1, [...PHASE_1].reverse(), [...PHASE_0].reverse()];

const slow = (x: Float32Array): number => {
  let most = 0;
  for (let i = 0; i < x.length + 11; i += 1)
    for (const phase of PHASES)
      most = Math.max(most, Math.abs(phase.reduce((sum, tap, t) => sum + tap * (x[i - t] ?? 0), 0)));
  return 20 * Math.log10(most);
};

it.each([1, 2, 3, 4, 5, 6, 7, 8])(
  'passes nothing over that could be larger, whatever the pieces (seed %i)',
  (seed) => {
    const next = random(seed);
    const rate = [48_000, 44_100, 8000, 22_050][seed % 4] as number;
    let held = 0;
    // Steps and slopes as well as noise; peaks near both ends and near the seams of pieces.
    const x = noise(3000 + seed * 977, next).map(
      (v, i) => (held = i % (seed + 3) === 0 ? v : 0.7 * held) * (i < 20 ? 3 : 0.2),
    );
    const measure = measuring({ sampleRate: rate, channels: 1 });
    for (let at = 0; at < x.length;) {
      const length = 1 + Math.floor(next() * 700);
      measure.push([x.subarray(at, at + length)]);
      at += length;
    }
    expect(measure.finish().truePeakDbtp[0]).toBeCloseTo(slow(x), 6);
  },
);

/*
 * After cases 20 to 23 of EBU Tech 3341, from memory: a tone of a sixth of the rate that rises to full scale for a moment, made at four times the
 * rate and cut down with an offset of none to three samples, so that its peak lies on a sample or between two. Tolerance +0.2, −0.4 dB.
 */
it.each([0, 1, 2, 3])('a peak that lies %i quarters of a sample beside one is found', (offset) => {
  const fine = 192_000;
  const middle = fine / 2;
  // Half full scale, and a rise of three milliseconds round the middle: nothing of it lies beyond half the lower rate.
  const made = Float32Array.from({ length: fine }, (_, i) => {
    const beside = Math.min(1, Math.abs(i - middle) / (0.003 * fine));
    const size = 0.5 + 0.5 * (0.5 + 0.5 * Math.cos(Math.PI * beside));
    return size * Math.cos((2 * Math.PI * 8000 * (i - middle)) / fine);
  });
  const x = Float32Array.from({ length: fine / 4 }, (_, n) => made[4 * n + offset] as number);
  const measure = measuring({ sampleRate: 48_000, channels: 1 });
  measure.push([x]);
  const [peak = 0] = measure.finish().truePeakDbtp;
  expect(peak).toBeLessThanOrEqual(0.2);
  expect(peak).toBeGreaterThanOrEqual(-0.4);
  // On a sample or not, and by how much: the sample peak alone would miss the half way by a decibel.
  const samples = 20 * Math.log10(x.reduce((most, v) => Math.max(most, Math.abs(v)), 0));
  expect(samples).toBeCloseTo([0, -0.3, -1.25, -0.3][offset] as number, 1);
});
