import { standInPlan } from '../core/diagnosis';
import { standIn } from '../core/signal/render/stand-in';
import { wavHead, weave16 } from '../core/signal/files';
import type { Rig } from '../core/rig';

/** The take that a rig would give at one of its recorders, as a WAV file. */
export function standInWav(rig: Rig, recorder: string): Uint8Array {
  const { sampleRate, sides } = standIn(standInPlan(rig, recorder));
  const samples = weave16(sides);
  const head = wavHead(sampleRate, sides.length, samples.byteLength);
  const wav = new Uint8Array(head.byteLength + samples.byteLength);
  wav.set(head);
  wav.set(new Uint8Array(samples.buffer, samples.byteOffset, samples.byteLength), head.byteLength);
  return wav;
}
