import { spawnSync } from 'node:child_process';
import { describe, expect, it } from 'vitest';
import { withNoise } from '../../../../testing/takes/faults';
import { measured, stored } from '../../../../testing/takes/study';
import { RATE, voice } from '../../../../testing/takes/voice';

const RAW = ['-t', 'f32', '-c', '1'];

/** Brought to another rate and back by SoX. */
function byWayOf(rate: number, samples: Float32Array): Float32Array {
  const sox = (from: number, to: number, input: Buffer): Buffer => {
    const args = ['-D', ...RAW, '-r', String(from), '-', ...RAW, '-r', String(to), '-'];
    const { status, stdout, stderr } = spawnSync('sox', args, { input, maxBuffer: 2 ** 28 });
    if (status !== 0) throw new Error(`sox: ${stderr.toString()}`);
    return stdout;
  };
  const bytes = Buffer.from(samples.buffer, samples.byteOffset, samples.byteLength);
  const back = sox(rate, RATE, sox(RATE, rate, bytes));
  return new Float32Array(back.buffer.slice(back.byteOffset, back.byteOffset + back.byteLength));
}

describe('the rate at which a take was made, against SoX', () => {
  const take = withNoise(voice(1), -62, 5);

  it.each([16_000, 22_050, 24_000])('%d Hz, brought up to 48 kHz', (rate) => {
    expect(measured(stored([byWayOf(rate, take)])).firstRate).toBe(rate);
  });

  it.each([44_100, 48_000])('%d Hz is no lower rate', (rate) => {
    expect(measured(stored([byWayOf(rate, take)])).firstRate).toBeNull();
  });
});
