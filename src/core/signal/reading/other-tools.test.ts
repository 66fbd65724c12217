import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { measured } from '../../../../testing/takes/study';
import { readTake } from '.';

/*
 * Faults that SoX and ffmpeg put on speech by espeak-ng: nothing of it is made by code of this project. What should be found was
 * written down before it was run. Common practice where nothing else is said.
 */
const TEXT =
  'The hull was laid down in the spring of last year, and we have been caulking ever since. Every seam is raked out, filled with cotton, and payed with putty. Listen to the mallet. It rings when the seam is tight. Next week we turn her over, and then the keel gets its new shoe.';

let folder = '';
const at = (name: string): string => join(folder, name);
const sox = (...args: readonly string[]): void => {
  execFileSync('sox', ['-D', '-R', ...args], { stdio: ['ignore', 'ignore', 'ignore'] });
};

interface Made {
  /** A take of the voice at `clean`, seconds long, written to `out`. */
  readonly by: (clean: string, out: string, seconds: string) => void;
  /** Every code but those of notes. */
  readonly finds: readonly string[];
  /** Further codes that are noted; others may be. */
  readonly notes?: readonly string[];
}

const effect =
  (...effects: readonly string[]) =>
  (clean: string, out: string) =>
    sox(clean, '-b', '24', out, ...effects);

/** Something that goes on under the voice. */
const under =
  (...made: readonly string[]) =>
  (clean: string, out: string, seconds: string) => {
    sox(
      '-n',
      '-r',
      '48000',
      '-b',
      '32',
      at('under.wav'),
      ...made.map((arg) => (arg === 'LONG' ? seconds : arg)),
    );
    sox('-m', '-v', '1', clean, '-v', '1', at('under.wav'), '-b', '24', out);
  };

const ffmpeg =
  (filter: string) =>
  (clean: string, out: string): void => {
    const args = ['-v', 'error', '-y', '-i', clean, '-af', filter, '-c:a', 'pcm_s24le', out];
    execFileSync('ffmpeg', args, { stdio: 'ignore' });
  };

const hole = (seconds: number): string =>
  `aeval=val(0)*(1-between(mod(t\\,3.37)\\,0\\,${seconds})*gt(t\\,2)):c=same`;

const TAKES: Readonly<Record<string, Made>> = {
  'the voice as it is': { by: effect('gain', '0'), finds: [] },
  'the voice 6 dB louder': { by: effect('gain', '6'), finds: [] },
  'a low cut at 100 Hz': { by: effect('highpass', '100'), finds: [] },
  'more treble': { by: effect('gain', '-3', 'treble', '6'), finds: [] },
  'spoken faster': { by: effect('tempo', '1.2'), finds: [] },
  'an echo of 180 ms': { by: effect('gain', '-3', 'echo', '1', '1', '180', '0.35'), finds: ['take-echoes'] },
  'a large room': { by: effect('gain', '-3', 'reverb', '60', '50', '100'), finds: [], notes: ['take-roomy'] },
  '20 dB too hot': { by: ffmpeg('volume=20dB,aformat=s16'), finds: ['take-clips'] },
  'three harmonics of 50 Hz': {
    by: under(
      'synth',
      'LONG',
      'sine',
      '50',
      'sine',
      '150',
      'sine',
      '250',
      'remix',
      '1v0.5,2v0.3,3v0.2',
      'gain',
      '-35',
    ),
    finds: ['take-hums'],
  },
  'a buzz of rectified mains, 100 Hz and up': {
    by: under('synth', 'LONG', 'sawtooth', '100', 'gain', '-48'),
    finds: ['take-hums'],
  },
  'a buzz of rectified mains, 120 Hz and up': {
    by: under('synth', 'LONG', 'sawtooth', '120', 'gain', '-48'),
    finds: ['take-hums'],
  },
  'a faint hum of 60 Hz': { by: under('synth', 'LONG', 'sine', '60', 'gain', '-58'), finds: ['take-hums'] },
  'the whine of USB, 1 kHz': {
    by: under('synth', 'LONG', 'sine', '1000', 'gain', '-52'),
    finds: ['take-whines'],
  },
  'the whine of a charger, 8 kHz': {
    by: under('synth', 'LONG', 'sine', '8000', 'gain', '-50'),
    finds: ['take-whines'],
  },
  hiss: { by: under('synth', 'LONG', 'whitenoise', 'gain', '-36'), finds: ['take-noisy'] },
  'wind that drowns the voice': {
    by: under('synth', 'LONG', 'brownnoise', 'gain', '-14', 'lowpass', '80'),
    finds: ['take-rumbles'],
  },
  'a telephone': { by: effect('sinc', '300-3400'), finds: [], notes: ['take-narrow'] },
  'the left side alone': { by: effect('remix', '1', '0'), finds: ['take-one-side'] },
  'one side turned over and weaker': { by: effect('remix', '1', '1v-0.6'), finds: ['take-inverted'] },
  'an offset, there from the first sample': {
    by: effect('dcshift', '0.05'),
    finds: [],
    notes: ['take-offset'],
  },
  'holes of 4 ms': { by: ffmpeg(hole(0.004)), finds: ['take-drops'] },
  'holes of 30 ms': { by: ffmpeg(hole(0.03)), finds: ['take-drops'] },
  'holes of 120 ms': { by: ffmpeg(hole(0.12)), finds: ['take-drops'] },
  'a gain that falls by 14 dB half way': {
    by: ffmpeg("volume=-14dB:enable='gt(t,10)'"),
    finds: ['take-gain-moves'],
  },
  'a gain that rises by 9 dB half way': {
    by: ffmpeg("volume=-9dB:enable='lt(t,10)'"),
    finds: ['take-gain-moves'],
  },
  'far too quiet': { by: effect('gain', '-30'), finds: ['take-quiet'] },
};

function samplesOf(path: string): Float32Array[] {
  const count = Number(execFileSync('soxi', ['-c', path], { encoding: 'utf8' }));
  const raw = execFileSync('sox', [path, '-t', 'f32', '-'], {
    maxBuffer: 1e9,
    stdio: ['ignore', 'pipe', 'ignore'],
  });
  const woven = new Float32Array(raw.buffer.slice(raw.byteOffset, raw.byteOffset + raw.length));
  return Array.from({ length: count }, (_, c) =>
    Float32Array.from({ length: woven.length / count }, (__, i) => woven[i * count + c] as number),
  );
}

describe.each([
  ['en-us', '150'],
  ['en-gb+f3', '140'],
])('faults put by other programs on the voice %s', (name, speed) => {
  let clean = '';
  let seconds = '';
  beforeAll(() => {
    folder = mkdtempSync(join(tmpdir(), 'tools-'));
    execFileSync('espeak-ng', ['-v', name, '-s', speed, '-w', at('spoken.wav'), TEXT]);
    sox(
      at('spoken.wav'),
      '-r',
      '48000',
      '-b',
      '24',
      at('brought.wav'),
      'gain',
      '-n',
      '-10',
      'pad',
      '0.7',
      '1',
    );
    seconds = execFileSync('soxi', ['-D', at('brought.wav')], { encoding: 'utf8' }).trim();
    sox('-n', '-r', '48000', '-b', '32', at('room.wav'), 'synth', seconds, 'pinknoise', 'gain', '-62');
    clean = at('clean.wav');
    sox('-m', '-v', '1', at('brought.wav'), '-v', '1', at('room.wav'), '-b', '24', clean);
  });
  afterAll(() => rmSync(folder, { recursive: true }));

  it.each(Object.entries(TAKES))('%s', (_, { by, finds, notes = [] }) => {
    by(clean, at('take.wav'), seconds);
    const found = readTake(measured(samplesOf(at('take.wav'))));
    expect(found.filter(({ severity }) => severity !== 'note').map(({ code }) => code)).toEqual(finds);
    expect(found.map(({ code }) => code)).toEqual(expect.arrayContaining([...notes]));
  });
});

it('of noise alone nothing is said of a voice’s band', () => {
  folder = mkdtempSync(join(tmpdir(), 'tools-'));
  sox('-n', '-r', '48000', '-b', '24', at('noise.wav'), 'synth', '10', 'pinknoise', 'gain', '-50');
  expect(readTake(measured(samplesOf(at('noise.wav')))).map(({ code }) => code)).toEqual(['take-quiet']);
  rmSync(folder, { recursive: true });
});
