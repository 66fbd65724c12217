/** What stands in the head of a WAV file. */
export interface WavHead {
  readonly sampleRate: number;
  readonly channels: number;
  readonly bits: 8 | 16 | 24 | 32 | 64;
  readonly isFloat: boolean;
  /** Where the samples begin, and how many bytes of them there are. */
  readonly from: number;
  readonly bytes: number;
  /** What was mended so as to read it. */
  readonly mended: readonly ('length' | 'cut-short')[];
}

export type WavProblem =
  | { readonly code: 'not-wav'; readonly found: string }
  | { readonly code: 'no-format' }
  | { readonly code: 'no-samples' }
  | { readonly code: 'empty' }
  | { readonly code: 'encoding'; readonly tag: number }
  | { readonly code: 'bad-format'; readonly name: string; readonly value: number }
  | { readonly code: 'beyond-scale'; readonly value: number };

export type WavResult =
  { readonly ok: true; readonly head: WavHead } | { readonly ok: false; readonly problem: WavProblem };

const [PCM, FLOAT, EXTENSIBLE] = [1, 3, 0xfffe];
/** Lowest and highest rate and most channels that are read. */
const [SLOWEST, FASTEST, MOST_CHANNELS] = [4000, 384_000, 8];
/** A writer that does not know the length says this, or nothing. */
const UNKNOWN = 0xffffffff;

const name = (view: DataView, at: number): string =>
  String.fromCharCode(...[0, 1, 2, 3].map((i) => view.getUint8(at + i)));

interface Format {
  readonly tag: number;
  readonly channels: number;
  readonly sampleRate: number;
  readonly bits: number;
}

function formatAt(view: DataView, at: number, length: number): Format | undefined {
  if (length < 16 || at + 16 > view.byteLength) return undefined;
  const tag = view.getUint16(at, true);
  // WAVE_FORMAT_EXTENSIBLE: the first two bytes of its GUID are the tag.
  const known =
    tag === EXTENSIBLE && length >= 40 && at + 26 <= view.byteLength ? view.getUint16(at + 24, true) : tag;
  return {
    tag: known,
    channels: view.getUint16(at + 2, true),
    sampleRate: view.getUint32(at + 4, true),
    bits: view.getUint16(at + 14, true),
  };
}

function problemOf({ tag, channels, sampleRate, bits }: Format): WavProblem | undefined {
  if (tag !== PCM && tag !== FLOAT) return { code: 'encoding', tag };
  if (channels < 1 || channels > MOST_CHANNELS)
    return { code: 'bad-format', name: 'channels', value: channels };
  if (sampleRate < SLOWEST || sampleRate > FASTEST)
    return { code: 'bad-format', name: 'sample rate', value: sampleRate };
  const fits = tag === FLOAT ? [32, 64] : [8, 16, 24, 32];
  return fits.includes(bits) ? undefined : { code: 'bad-format', name: 'bits a sample', value: bits };
}

/**
 * Reads the head of a WAV or RF64 file from its first bytes (RIFF; EBU Tech 3306 for RF64). `size`: bytes of the whole file; lengths that are
 * wrong are mended by it, and said. Never throws.
 */
export function readWavHead(start: Uint8Array, size: number): WavResult {
  const view = new DataView(start.buffer, start.byteOffset, start.byteLength);
  const refuse = (problem: WavProblem): WavResult => ({ ok: false, problem });
  if (size === 0) return refuse({ code: 'empty' });
  const kind = view.byteLength >= 12 ? name(view, 0) : '';
  if ((kind !== 'RIFF' && kind !== 'RF64' && kind !== 'BW64') || name(view, 8) !== 'WAVE') {
    return refuse({ code: 'not-wav', found: sayStart(start) });
  }
  let [at, long] = [12, NaN];
  let format: Format | undefined;
  while (at + 8 <= view.byteLength) {
    const [chunk, length] = [name(view, at), view.getUint32(at + 4, true)];
    const body = at + 8;
    if (chunk === 'ds64' && body + 16 <= view.byteLength) long = Number(view.getBigUint64(body + 8, true));
    if (chunk === 'fmt ') format = formatAt(view, body, length);
    if (chunk === 'data')
      return dataAt(format, body, length === UNKNOWN && kind !== 'RIFF' ? long : length, size);
    at = body + length + (length % 2);
  }
  return refuse(format ? { code: 'no-samples' } : { code: 'no-format' });
}

function dataAt(format: Format | undefined, from: number, said: number, size: number): WavResult {
  if (!format) return { ok: false, problem: { code: 'no-format' } };
  const problem = problemOf(format);
  if (problem) return { ok: false, problem };
  const frame = (format.channels * format.bits) / 8;
  const there = Math.max(0, size - from);
  const open = !Number.isFinite(said) || said === 0 || said === UNKNOWN;
  const wanted = open ? there : Math.min(said, there);
  const bytes = Number.isFinite(wanted) ? Math.floor(wanted / frame) * frame : wanted;
  if (bytes === 0) return { ok: false, problem: { code: 'no-samples' } };
  const mended = open ? (['length'] as const) : said > there ? (['cut-short'] as const) : [];
  const { sampleRate, channels, bits } = format;
  return {
    ok: true,
    head: {
      sampleRate,
      channels,
      bits: bits as WavHead['bits'],
      isFloat: format.tag === FLOAT,
      from,
      bytes,
      mended,
    },
  };
}

/** The first bytes as somebody can read them. */
const sayStart = (start: Uint8Array): string =>
  String.fromCharCode(...start.subarray(0, 12)).replace(/[^\x20-\x7e]/g, '·');

/** Turns whole frames of samples into one run a channel, full scale ±1. Values that are no number become 0. */
export function wavSamples({ channels, bits, isFloat }: WavHead, bytes: Uint8Array): Float32Array[] {
  const width = bits / 8;
  const frames = Math.floor(bytes.byteLength / (width * channels));
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const out = Array.from({ length: channels }, () => new Float32Array(frames));
  // Whole numbers that lie as the machine has them are read as an array: five times as fast.
  if (bits === 16 && bytes.byteOffset % 2 === 0 && LITTLE_ENDIAN) {
    deal(new Int16Array(bytes.buffer, bytes.byteOffset, frames * channels), out);
    return out;
  }
  const read = reader(view, bits, isFloat);
  out.forEach((samples, channel) => {
    for (let i = 0, at = channel * width; i < frames; i += 1, at += width * channels) samples[i] = read(at);
  });
  return out;
}

/** A recording in floats stands within this, full scale 1: what is beyond is whole numbers under a wrong name. Ours: 12 dB over full scale. */
export const LARGEST_SAMPLE = 4;

/** The first sample of a file in floats that is no number, or far beyond full scale; undefined where there is none. */
export function sampleBeyondScale({ bits, isFloat }: WavHead, bytes: Uint8Array): number | undefined {
  if (!isFloat) return undefined;
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const width = bits / 8;
  for (let at = 0; at + width <= bytes.byteLength; at += width) {
    const value = bits === 32 ? view.getFloat32(at, true) : view.getFloat64(at, true);
    if (!(Math.abs(value) <= LARGEST_SAMPLE)) return value;
  }
  return undefined;
}

const LITTLE_ENDIAN = new Uint8Array(Uint16Array.of(1).buffer)[0] === 1;

function deal(all: Int16Array, out: readonly Float32Array[]): void {
  const [left, right] = out;
  if (out.length === 2 && left && right) {
    for (let i = 0, at = 0; i < left.length; i += 1, at += 2) {
      left[i] = (all[at] as number) / 32_768;
      right[i] = (all[at + 1] as number) / 32_768;
    }
    return;
  }
  out.forEach((samples, channel) => {
    for (let i = 0, at = channel; i < samples.length; i += 1, at += out.length)
      samples[i] = (all[at] as number) / 32_768;
  });
}

function reader(view: DataView, bits: WavHead['bits'], isFloat: boolean): (at: number) => number {
  const number = (v: number) => (Number.isFinite(v) ? v : 0);
  if (isFloat) {
    return bits === 32
      ? (at) => number(view.getFloat32(at, true))
      : (at) => number(view.getFloat64(at, true));
  }
  switch (bits) {
    case 8:
      return (at) => (view.getUint8(at) - 128) / 128;
    case 16:
      return (at) => view.getInt16(at, true) / 32_768;
    case 24:
      return (at) => (view.getUint16(at, true) + view.getInt8(at + 2) * 65_536) / 8_388_608;
    default:
      return (at) => view.getInt32(at, true) / 2_147_483_648;
  }
}
