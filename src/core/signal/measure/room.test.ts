import { fft, ifft } from 'fourier-transform';
import { describe, expect, it } from 'vitest';
import { noise, random } from '../../../../testing/takes/random';
import { withNoise } from '../../../../testing/takes/faults';
import { measured, stored } from '../../../../testing/takes/study';
import { RATE, voice } from '../../../../testing/takes/voice';

/** A voice in a room by Sabine's law: as much of the room as of the voice itself, dying away evenly by 60 dB in `seconds`. */
function inRoom(dry: Float32Array, seconds: number, seed: number): Float32Array {
  const tail = noise(Math.round(1.2 * seconds * RATE), random(seed)).map(
    (v, i) => v * 10 ** ((-3 * i) / (seconds * RATE)),
  );
  const energy = Math.sqrt(tail.reduce((sum, v) => sum + v * v, 0));
  const answer = tail.map((v, i) => v / energy + (i === 0 ? 1 : 0));
  const size = 2 ** Math.ceil(Math.log2(dry.length + answer.length));
  const spectrum = (x: Float32Array): readonly [Float64Array, Float64Array] => {
    const padded = new Float64Array(size);
    padded.set(x);
    const [re, im] = fft(padded);
    return [re.slice(), im.slice()];
  };
  const [[a, b], [c, d]] = [spectrum(dry), spectrum(answer)];
  const re = a.map((v, k) => v * (c[k] ?? 0) - (b[k] ?? 0) * (d[k] ?? 0));
  const im = a.map((v, k) => v * (d[k] ?? 0) + (b[k] ?? 0) * (c[k] ?? 0));
  return Float32Array.from(ifft(re, im).slice(0, dry.length));
}

// Voices and rooms other than those by which the limits were set.
describe('how long the room rings', () => {
  const voices = [5, 6, 7, 8].map((n) => voice(n));

  it.each([0.6, 0.8, 1.2, 1.8].flatMap((seconds) => voices.map((_, n) => [seconds, n] as const)))(
    '%f s, voice %i: within 25 %%',
    (seconds, n) => {
      const take = withNoise(inRoom(voices[n] as Float32Array, seconds, 70 + n), -66, n);
      const read = measured(stored([take])).roomSeconds ?? NaN;
      expect(Math.abs(read / seconds - 1)).toBeLessThanOrEqual(0.25);
    },
  );

  it.each(voices.map((_, n) => n))('a dry voice (%i) has next to no room', (n) => {
    const read = measured(stored([withNoise(voices[n] as Float32Array, -66, n)])).roomSeconds;
    expect(read ?? 0).toBeLessThan(0.5);
  });

  it('says nothing where nobody speaks', () => {
    expect(measured(stored([withNoise(new Float32Array(4 * RATE), -60, 1)])).roomSeconds).toBeNull();
  });
});
