import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { RATE, voice } from '../../../../testing/takes/voice';
import { measured } from '../../../../testing/takes/study';
import { noise, random } from '../../../../testing/takes/random';

let folder = '';
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'takes-'));
});
afterAll(() => rmSync(folder, { recursive: true }));

/** Sides as a WAV file of 32-bit float, written by SoX. */
function fileOf(sides: readonly Float32Array[], name: string): string {
  const [raw, path] = [join(folder, `${name}.f32`), join(folder, `${name}.wav`)];
  const [first] = sides as [Float32Array];
  const woven = new Float32Array(first.length * sides.length);
  sides.forEach((side, c) => side.forEach((v, i) => (woven[i * sides.length + c] = v)));
  writeFileSync(raw, new Uint8Array(woven.buffer));
  const made = spawnSync('sox', [
    '-t',
    'raw',
    '-r',
    String(RATE),
    '-c',
    String(sides.length),
    '-e',
    'floating-point',
    '-b',
    '32',
    raw,
    path,
  ]);
  if (made.status !== 0) throw new Error(String(made.stderr));
  return path;
}

/** ffmpeg’s loudness filter, EBU R 128, with true peak. */
function byFfmpeg(path: string) {
  const { stderr } = spawnSync(
    'ffmpeg',
    ['-nostats', '-i', path, '-filter_complex', 'ebur128=peak=true', '-f', 'null', '-'],
    { encoding: 'utf8' },
  );
  const summary = stderr.slice(stderr.lastIndexOf('Summary:'));
  const figure = (name: string) => Number(new RegExp(`${name}:\\s+(-?[\\d.]+)`).exec(summary)?.[1]);
  return { integrated: figure('I'), range: figure('LRA'), peak: figure('Peak') };
}

/** SoX’s statistics, a column a channel. */
function bySox(path: string) {
  const { stderr } = spawnSync('sox', [path, '-n', 'stats'], { encoding: 'utf8' });
  const row = (name: string) =>
    (new RegExp(`^${name}\\s+(.*)$`, 'm').exec(stderr)?.[1] ?? '').trim().split(/\s+/).map(Number);
  return { peak: row('Pk lev dB'), rms: row('RMS lev dB'), offset: row('DC offset') };
}

const seeded = (seed: number): Float32Array[] => {
  const next = random(seed);
  const speech = voice(seed);
  const level = 0.1 + 0.8 * next();
  const hiss = noise(speech.length, next);
  const left = speech.map((v, i) => level * v + 0.003 * (hiss[i] as number) + 0.002);
  return seed % 3 === 0
    ? [left]
    : [left, speech.map((v, i) => 0.5 * level * (speech[i - 400] ?? 0) - 0.2 * v)];
};

describe.each([1, 2, 3, 4, 5, 6])('a seeded take (%i)', (seed) => {
  it('reads as ffmpeg’s loudness filter and SoX’s statistics read it', () => {
    const sides = seeded(seed);
    const path = fileOf(sides, `take-${seed}`);
    const [ours, theirs, sox] = [measured(sides), byFfmpeg(path), bySox(path)];
    // Both print tenths of a dB; the filter counts a mono file as one channel, as here.
    expect(Math.abs(ours.loudness.integratedLufs - theirs.integrated)).toBeLessThanOrEqual(0.1);
    // What EBU Tech 3342 allows; a percentile of some sixty values, which the filter counts in steps of 0.1 LU.
    expect(Math.abs(ours.loudness.loudnessRangeLu - theirs.range)).toBeLessThanOrEqual(1);
    // Another interpolator: longer than the standard’s.
    expect(Math.abs(Math.max(...ours.truePeakDbtp) - theirs.peak)).toBeLessThanOrEqual(0.3);
    // SoX prints the whole first where there is more than one channel.
    const skip = sides.length > 1 ? 1 : 0;
    ours.levels.forEach((level, c) => {
      expect(Math.abs(level.samplePeakDbfs - (sox.peak[c + skip] as number))).toBeLessThanOrEqual(0.011);
      expect(Math.abs(level.rmsDbfs - (sox.rms[c + skip] as number))).toBeLessThanOrEqual(0.011);
      expect(Math.abs(level.dcOffset - (sox.offset[c + skip] as number))).toBeLessThanOrEqual(2e-6);
    });
  });
});
