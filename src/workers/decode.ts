import { ALL_FORMATS, AudioSampleSink, BlobSource, Input } from 'mediabunny';
import type { Piece } from '../core/signal/measure';

export type Decoded =
  | {
      readonly ok: true;
      readonly sampleRate: number;
      readonly channels: number;
      readonly seconds: number;
      readonly pieces: AsyncIterable<Piece>;
    }
  | { readonly ok: false; readonly says: string };

/** The sound of whatever file the browser can decode, piece by piece: m4a, mp3, ogg, flac, the sound of an mp4 or mov. */
export async function decodedPieces(file: Blob): Promise<Decoded> {
  const input = new Input({ source: new BlobSource(file), formats: ALL_FORMATS });
  const track = await input.getPrimaryAudioTrack().catch(() => undefined);
  if (track === undefined)
    return { ok: false, says: `is no sound or film that is known: it begins with "${await startOf(file)}"` };
  if (track === null) return { ok: false, says: 'has no sound in it' };
  if (!(await track.canDecode())) {
    return {
      ok: false,
      says: `holds ${String(track.codec ?? 'a coding')} that this browser does not decode`,
    };
  }
  const [seconds, sampleRate, channels] = [
    await track.computeDuration(),
    track.sampleRate,
    track.numberOfChannels,
  ];
  return { ok: true, sampleRate, channels, seconds, pieces: piecesOf(new AudioSampleSink(track)) };
}

async function* piecesOf(sink: AudioSampleSink): AsyncGenerator<Piece> {
  for await (const sample of sink.samples()) {
    const piece = Array.from({ length: sample.numberOfChannels }, (_, planeIndex) => {
      const samples = new Float32Array(sample.numberOfFrames);
      sample.copyTo(samples, { planeIndex, format: 'f32-planar' });
      return samples;
    });
    sample.close();
    yield piece;
  }
}

const startOf = async (file: Blob): Promise<string> =>
  (await file.slice(0, 12).text()).replace(/[^\x20-\x7e]/g, '·');
