/** A second-order section, a0 = 1. */
export interface Biquad {
  readonly b: readonly [number, number, number];
  readonly a: readonly [number, number];
}

/**
 * The two sections of K-weighting, ITU-R BS.1770-5 Annex 1. The standard tabulates them at 48 kHz alone; at other rates they are made anew
 * from the analogue filters that give that table by the bilinear transform (their constants from memory; the test holds the table against them).
 */
export function kWeighting(sampleRate: number): readonly [shelf: Biquad, highPass: Biquad] {
  return [shelf(sampleRate), highPass(sampleRate)];
}

function shelf(sampleRate: number): Biquad {
  const [hertz, gainDb, q] = [1681.974450955533, 3.999843853973347, 0.7071752369554196];
  const k = Math.tan((Math.PI * hertz) / sampleRate);
  const high = 10 ** (gainDb / 20);
  const band = high ** 0.4996667741545416;
  const a0 = 1 + k / q + k * k;
  return {
    b: [
      (high + (band * k) / q + k * k) / a0,
      (2 * (k * k - high)) / a0,
      (high - (band * k) / q + k * k) / a0,
    ],
    a: [(2 * (k * k - 1)) / a0, (1 - k / q + k * k) / a0],
  };
}

function highPass(sampleRate: number): Biquad {
  const [hertz, q] = [38.13547087602444, 0.5003270373238773];
  const k = Math.tan((Math.PI * hertz) / sampleRate);
  const a0 = 1 + k / q + k * k;
  return { b: [1, -2, 1], a: [(2 * (k * k - 1)) / a0, (1 - k / q + k * k) / a0] };
}
