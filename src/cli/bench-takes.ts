import { spawnSync } from 'node:child_process';
import { closeSync, mkdtempSync, openSync, rmSync, writeSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { wavHead, weave16 } from '../core/signal/files';
import { babble } from '../core/signal/render/stand-in';

const RATE = 48_000;
/** A stretch that is written over and over, seconds. */
const STRETCH = 20;

/** Something voice-like with noise on both sides, so many minutes long. */
function writeTake(path: string, minutes: number): void {
  const voice = babble(STRETCH, 7);
  const other = babble(STRETCH, 8);
  const quiet = (x: Float32Array, by: Float32Array) =>
    x.map((v, i) => 0.08 * v + 0.02 * (by[i] as number) + 0.0004 * Math.sin(i * i));
  const samples = new Uint8Array(weave16([quiet(voice, other), quiet(other, voice)]).buffer);
  const times = (minutes * 60) / STRETCH;
  const file = openSync(path, 'w');
  writeSync(file, wavHead(RATE, 2, samples.byteLength * times));
  for (let n = 0; n < times; n += 1) writeSync(file, samples);
  closeSync(file);
}

/** Wall time of a whole command, seconds; NaN where it failed. */
function secondsOf(command: string, args: readonly string[]): number {
  const begun = performance.now();
  const { status, error } = spawnSync(command, args, { stdio: ['ignore', 'ignore', 'ignore'] });
  return status === 0 && !error ? (performance.now() - begun) / 1000 : NaN;
}

const LOUDNESS = ['-filter_complex', 'ebur128=peak=true', '-f', 'null', '-'];

/** Sound check against a native loudness meter with true peak on the same files in the same run, as whole commands. */
export function takeLines(): string[] {
  const folder = mkdtempSync(join(tmpdir(), 'symplex-bench-'));
  try {
    const [ten, twenty] = [join(folder, 'ten.wav'), join(folder, 'twenty.wav')];
    writeTake(ten, 10);
    writeTake(twenty, 20);
    const ours = (path: string) =>
      secondsOf(process.execPath, [process.argv[1] ?? '', 'soundcheck', path, '--json']);
    const [one, two] = [ours(ten), ours(twenty)];
    const theirs = secondsOf('ffmpeg', ['-nostats', '-i', ten, ...LOUDNESS]);
    const beside = Number.isNaN(theirs)
      ? 'ffmpeg is not on this machine'
      : `ffmpeg’s loudness filter with true peak ${theirs.toFixed(1)} s, ours ${(one / theirs).toFixed(2)} times that`;
    return [
      `Sound check of ten minutes at 48 kHz, stereo, every measure: ${one.toFixed(1)} s; ${beside}. Twenty minutes: ${two.toFixed(1)} s, ${(two / one).toFixed(2)} times ten.`,
    ];
  } finally {
    rmSync(folder, { recursive: true });
  }
}
