import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { random } from '../../../../testing/takes/random';
import type { Piece } from '../measure';
import { sayWavProblem } from '../../words/say-take';
import { wavFeed, wavHead, weave16, type WavHead, type WavProblem } from '.';

let folder = '';
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'wav-'));
});
afterAll(() => rmSync(folder, { recursive: true }));

/** Two sines of 0.1 s, 440 Hz at half and 880 Hz at a quarter, as a program from outside writes them. */
function written(program: 'sox' | 'ffmpeg', name: string, how: readonly string[]): Uint8Array {
  const path = join(folder, `${name}.wav`);
  const args =
    program === 'sox'
      ? [
          '-D',
          '-n',
          '-r',
          '48000',
          '-c',
          '2',
          ...how,
          path,
          'synth',
          '0.1',
          'sine',
          '440',
          'sine',
          '880',
          'remix',
          '1v0.5',
          '2v0.25',
        ]
      : [
          '-v',
          'error',
          '-y',
          '-f',
          'lavfi',
          '-i',
          'aevalsrc=0.5*sin(2*PI*440*t)|0.25*sin(2*PI*880*t):s=48000:d=0.1',
          ...how,
          path,
        ];
  const { status, stderr } = spawnSync(program, args, { encoding: 'utf8' });
  if (status !== 0) throw new Error(`${program} ${args.join(' ')}: ${stderr}`);
  return readFileSync(path);
}

type Read = { head: WavHead; sides: Float32Array[] } | { problem: WavProblem };

function readAll(bytes: Uint8Array, cuts: () => number = () => 1000): Read {
  const pieces: Piece[] = [];
  const feed = wavFeed(bytes.byteLength, () => (piece) => pieces.push(piece.map((side) => side.slice())));
  for (let at = 0; at < bytes.byteLength;) {
    const length = cuts();
    feed.push(bytes.subarray(at, at + length));
    at += length;
  }
  const end = feed.finish();
  if (!end.ok) return { problem: end.problem };
  const sides = Array.from({ length: end.head.channels }, (_, c) =>
    Float32Array.from(pieces.flatMap((p) => [...(p[c] as Float32Array)])),
  );
  return { head: end.head, sides };
}

describe('WAV files that others write', () => {
  it.each([
    ['sox', ['-b', '16'], 2e-4],
    ['sox', ['-b', '8', '-e', 'unsigned-integer'], 2e-2],
    ['sox', ['-b', '24'], 2e-6],
    ['sox', ['-b', '32'], 2e-6],
    ['sox', ['-b', '32', '-e', 'floating-point'], 2e-6],
    ['sox', ['-b', '64', '-e', 'floating-point'], 2e-6],
    ['ffmpeg', ['-c:a', 'pcm_s16le'], 2e-4],
    ['ffmpeg', ['-c:a', 'pcm_s24le'], 2e-6],
    ['ffmpeg', ['-c:a', 'pcm_f32le'], 2e-6],
    ['ffmpeg', ['-c:a', 'pcm_s24le', '-rf64', 'always'], 2e-6],
  ] as const)('%s %j', (program, how, within) => {
    const read = readAll(written(program, how.join('').replace(/\W/g, ''), how), () => 777);
    if ('problem' in read) throw new Error(JSON.stringify(read.problem));
    expect(read.head).toMatchObject({ sampleRate: 48_000, channels: 2, mended: [] });
    const [left, right] = read.sides as [Float32Array, Float32Array];
    expect(left.length).toBe(4800);
    for (let i = 0; i < left.length; i += 7) {
      expect(Math.abs((left[i] as number) - 0.5 * Math.sin((2 * Math.PI * 440 * i) / 48_000))).toBeLessThan(
        within,
      );
      expect(Math.abs((right[i] as number) - 0.25 * Math.sin((2 * Math.PI * 880 * i) / 48_000))).toBeLessThan(
        within,
      );
    }
  });
  it('is read by SoX as it was woven here', () => {
    const piece = [Float32Array.from({ length: 480 }, (_, i) => Math.sin(i / 9) / 2), new Float32Array(480)];
    const samples = weave16(piece);
    const file = Buffer.concat([wavHead(48_000, 2, samples.byteLength), new Uint8Array(samples.buffer)]);
    const { stdout } = spawnSync('sox', ['-t', 'wav', '-', '-t', 'raw', '-'], { input: file });
    expect(Buffer.compare(stdout, Buffer.from(samples.buffer))).toBe(0);
  });
});

describe('heads that are broken', () => {
  const whole = () => Uint8Array.from(written('sox', 'whole', ['-b', '16']));
  it('a length that is nothing or open is mended by the file’s own', () => {
    for (const said of [0, 0xffffffff]) {
      const bytes = whole();
      new DataView(bytes.buffer).setUint32(40, said, true);
      expect(readAll(bytes)).toMatchObject({ head: { bytes: 19_200, mended: ['length'] } });
    }
  });
  it('a file that was cut short is read as far as it goes, and that is said', () => {
    expect(readAll(whole().subarray(0, 10_001))).toMatchObject({
      head: { mended: ['cut-short'], bytes: 9956 },
    });
  });
  it.each([
    ['nothing at all', new Uint8Array(0), { code: 'empty' }],
    ['text', new TextEncoder().encode('this is no sound'), { code: 'not-wav', found: 'this is no s' }],
    ['a head alone', whole, { code: 'no-samples' }],
    ['no format', new TextEncoder().encode('RIFF0000WAVEdata0000'), { code: 'no-format' }],
  ] as const)('%s is refused by name', (name, bytes, problem) => {
    const given = typeof bytes === 'function' ? bytes().subarray(0, 44) : bytes;
    expect(readAll(given), name).toEqual({ problem });
  });
  it.each([
    [20, 2, { code: 'encoding', tag: 2 }],
    [22, 0, { code: 'bad-format', name: 'channels', value: 0 }],
    [22, 99, { code: 'bad-format', name: 'channels', value: 99 }],
    [24, 1, { code: 'bad-format', name: 'sample rate', value: 1 }],
    [34, 12, { code: 'bad-format', name: 'bits a sample', value: 12 }],
  ] as const)('a wrong value at byte %i is named', (at, value, problem) => {
    const bytes = whole();
    if (at === 24) new DataView(bytes.buffer).setUint32(at, value, true);
    else new DataView(bytes.buffer).setUint16(at, value, true);
    expect(readAll(bytes)).toEqual({ problem });
  });
  it.each([
    [NaN, 32],
    [Infinity, 64],
    [16_384, 32],
    [-4.5, 64],
  ])('a sample of %s in floats of %i bits is refused, and told', (odd, bits) => {
    const data = new DataView(new ArrayBuffer((bits / 8) * 4));
    for (const [n, value] of [0.5, 3.9, odd, 0].entries())
      if (bits === 32) data.setFloat32(n * 4, value, true);
      else data.setFloat64(n * 8, value, true);
    const head = wavHead(48_000, 1, data.byteLength);
    const view = new DataView(head.buffer);
    view.setUint16(20, 3, true);
    view.setUint16(32, bits / 8, true);
    view.setUint16(34, bits, true);
    const file = new Uint8Array([...head, ...new Uint8Array(data.buffer)]);
    expect(readAll(file)).toEqual({ problem: { code: 'beyond-scale', value: odd } });
    expect(sayWavProblem({ code: 'beyond-scale', value: odd })).toContain(`a sample of ${odd}`);
  });

  it('10,000 fuzzed heads neither throw nor hang, and no sample is NaN (seed 20261126)', () => {
    const next = random(20_261_126);
    const start = whole().subarray(0, 400);
    let read = 0;
    for (let n = 0; n < 10_000; n += 1) {
      const bytes = start.slice(0, Math.floor(next() * start.length));
      const changes = 1 + Math.floor(next() * 6);
      for (let k = 0; k < changes && bytes.length > 0; k += 1)
        bytes[Math.floor(next() ** 3 * bytes.length)] = Math.floor(next() * 256);
      const result = readAll(bytes, () => 1 + Math.floor(next() * 200));
      if ('problem' in result) continue;
      read += 1;
      expect(result.sides.every((side) => side.every(Number.isFinite))).toBe(true);
    }
    // Some heads survive their changes, and most do not.
    expect(read).toBeGreaterThan(500);
    expect(read).toBeLessThan(9500);
  });
});
