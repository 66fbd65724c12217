import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export const RATE = 48_000;

const LINES = [
  'Test, one, two, three. The tide is out, and the old boat sits on the mud. We begin with the planks on the port side.',
  'Good evening from the sail loft. Tonight we splice a rope, and somebody will ring us about a leaking stove.',
  'This plank is rotten from here to here. Do you see how soft it is? The nail comes out with two fingers.',
  'Silence, please. Now I speak as I always do. And now, as loud as I get when something falls on my foot!',
];
const VOICES = ['en-gb', 'en-us', 'en-gb+f3', 'en-us+m7', 'en-gb+f2', 'en-us+m3'];

const run = (command: string, args: readonly string[]): void => {
  const { status, stderr } = spawnSync(command, args, { encoding: 'utf8' });
  if (status !== 0) throw new Error(`${command} ${args.join(' ')}: ${stderr}`);
};

/** Speech by espeak-ng, brought to 48 kHz by SoX, to −20 dBFS RMS or peaks of −6 dBFS, a second of nothing on both sides. Number `n` is always the same. */
export function voice(n: number): Float32Array {
  const folder = mkdtempSync(join(tmpdir(), 'voice-'));
  try {
    const [spoken, brought] = [join(folder, 'a.wav'), join(folder, 'b.f32')];
    const speed = String(130 + ((n * 17) % 50));
    run('espeak-ng', [
      '-v',
      VOICES[n % VOICES.length] ?? '',
      '-s',
      speed,
      '-p',
      String(35 + ((n * 13) % 40)),
      '-w',
      spoken,
      LINES[n % LINES.length] ?? '',
    ]);
    run('sox', [
      '-D',
      spoken,
      '-r',
      String(RATE),
      '-c',
      '1',
      '-e',
      'floating-point',
      '-b',
      '32',
      brought,
      'gain',
      '-3',
      'pad',
      '1',
      '1',
    ]);
    const bytes = readFileSync(brought);
    const samples = new Float32Array(
      bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength),
    );
    const power = samples.reduce((sum, v) => sum + v * v, 0) / samples.length;
    const peak = samples.reduce((most, v) => Math.max(most, Math.abs(v)), 0);
    const gain = Math.min(0.1 / Math.sqrt(power), 0.5 / peak);
    return samples.map((v) => v * gain);
  } finally {
    rmSync(folder, { recursive: true });
  }
}
