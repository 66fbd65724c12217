import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { measured } from '../../testing/takes/study';
import { takeReport } from '../core/files/take-report';
import { wavHead, weave16 } from '../core/signal/files';
import { faultyTake } from '../core/signal/render/faulty';

const folder = mkdtempSync(join(tmpdir(), 'symplex-soundcheck-'));
const RATE = 48_000;

/** Writes sides as a WAV file of 16 bits, so many times over. */
function wav(name: string, sides: readonly Float32Array[], times = 1): string {
  const path = join(folder, name);
  const samples = Buffer.from(weave16(sides).buffer);
  const head = Buffer.from(wavHead(RATE, sides.length, samples.byteLength * times));
  writeFileSync(path, Buffer.concat([head, ...Array.from({ length: times }, () => samples)]));
  return path;
}
const text = (name: string, content: string): string => {
  const path = join(folder, name);
  writeFileSync(path, content);
  return path;
};
const symplex = (...args: string[]) => spawnSync('./symplex', args, { encoding: 'utf8' });

describe('symplex soundcheck', () => {
  const { sides } = faultyTake('left side only', 4);
  const take = wav('left.wav', sides);

  it('answers in JSON with the documented fields', () => {
    const { status, stdout } = symplex('soundcheck', take, '--json');
    expect(status).toBe(0);
    const report = JSON.parse(stdout);
    expect(report.findings.map((f: { code: string }) => f.code)).toEqual(['take-one-side']);
    expect(report.image.kind).toBe('left-only');
    expect(report).toHaveProperty('roomSeconds');
    expect(report.says.join(' ')).toContain('One side is empty');
  });

  it('and in words', () => {
    const { status, stdout } = symplex('soundcheck', take);
    expect(status).toBe(0);
    expect(stdout).toContain('Only the left side carries the sound');
  });

  it('holds the take against a rig: predicted beside measured, and what explains it', () => {
    const { status, stdout } = symplex(
      'soundcheck',
      take,
      '--rig',
      'demo/rigs/two-at-the-bench.json',
      '--json',
    );
    expect(status).toBe(0);
    const { reading } = JSON.parse(stdout);
    expect(reading.explanations.length).toBeGreaterThan(0);
  });

  it('reads a long take in two threads as in one', () => {
    const [left, right] = sides as [Float32Array, Float32Array];
    const times = 5;
    const path = wav('long.wav', sides, times);
    const { status, stdout } = symplex('soundcheck', path, '--json');
    expect(status).toBe(0);
    const over = (side: Float32Array) => {
      const all = new Float32Array(side.length * times);
      for (let n = 0; n < times; n += 1) all.set(side, n * side.length);
      return all;
    };
    const asFile = [left, right].map((side) => Float32Array.from(weave16([over(side)]), (v) => v / 32_768));
    const alone = JSON.parse(JSON.stringify(takeReport(measured(asFile), [])));
    const report = JSON.parse(stdout);
    expect(report.durationSeconds).toBeGreaterThan(60);
    expect(report).toEqual(alone);
  });

  it.each([
    ['no file', [], 'say which TAKE.wav'],
    ['a missing file', [join(folder, 'none.wav')], 'cannot be read'],
    ['text', [text('text.wav', 'this is no sound')], 'is no WAV file'],
    ['an empty file', [text('empty.wav', '')], 'is empty'],
    ['a head alone', [wav('head.wav', [new Float32Array(0)])], 'holds no samples'],
    ['a rig that is none', [take, '--rig', text('rig.json', '{}')], 'rig.json'],
    [
      'a recorder that is not there',
      [take, '--rig', 'demo/rigs/slipway-diary.json', '--recorder', 'tv'],
      'tv',
    ],
  ])('%s: exit 2 and one clear line', (_, args, says) => {
    const { status, stdout, stderr } = symplex('soundcheck', ...args);
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(stderr.trim().split('\n')).toHaveLength(1);
    expect(stderr).toContain(says);
  });

  it('measures what another program has written in 24 bits as that program measures it', () => {
    const path = join(folder, 'tone.wav');
    const made = spawnSync('sox', [
      '-D',
      '-n',
      '-r',
      '44100',
      '-b',
      '24',
      '-c',
      '2',
      path,
      'synth',
      '4',
      'sine',
      '997',
      'gain',
      '-12',
    ]);
    expect(made.status).toBe(0);
    const report = JSON.parse(symplex('soundcheck', path, '--json').stdout);
    const { stderr } = spawnSync('sox', [path, '-n', 'stats'], { encoding: 'utf8' });
    const rms = Number(/^RMS lev dB\s+(\S+)/m.exec(stderr)?.[1]);
    expect(report.rmsDbfs).toHaveLength(2);
    for (const own of report.rmsDbfs) expect(Math.abs(own - rms)).toBeLessThanOrEqual(0.02);
  });
});
