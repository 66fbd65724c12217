import { fft } from 'fourier-transform';

/** Turns frames of one size into mean squares by bin, Hann window: a sine’s lines sum to its mean square. */
export function powerSpectrum(size: number): (frame: Float32Array) => Float32Array {
  const window = hann(size);
  const x = new Float64Array(size);
  const out: [Float64Array, Float64Array] = [new Float64Array(size / 2 + 1), new Float64Array(size / 2 + 1)];
  // Two sides, and the window’s own mean square of 3/8.
  const scale = 2 / (size * size * 0.375);
  return (frame) => {
    for (let i = 0; i < size; i += 1) x[i] = (frame[i] as number) * (window[i] as number);
    const [re, im] = fft(x, out);
    const powers = new Float32Array(re.length);
    for (let k = 0; k < powers.length; k += 1) {
      const [a, b] = [re[k] as number, im[k] as number];
      powers[k] = scale * (a * a + b * b);
    }
    return powers;
  };
}

export function hann(size: number): Float64Array {
  return Float64Array.from({ length: size }, (_, i) => 0.5 - 0.5 * Math.cos((2 * Math.PI * i) / size));
}
