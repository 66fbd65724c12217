import { riseInPauses } from './automatic-gain';
import { bandOf, type Band } from './band';
import { clicks, type Jumps } from './clicks';
import { clipping, type Clipping } from './clipping';
import { decimator, droopAt } from './decimate';
import { echoFinder, type Echo } from './echo';
import { framer } from './frames';
import { gapsOf, type Dropout } from './gaps';
import { humOf, type Hum } from './hum';
import { imageOf, type Image } from './image';
import { levels, type ChannelLevel, type Envelope, type Levels } from './levels';
import { loudness, type Loudness } from './loudness';
import { pausesOf, windowPowers, type Pauses } from './pauses';
import { powerSpectrum } from './power-spectrum';
import { quietest } from './quietest';
import { sideDelay, type SideDelay } from './sides';
import { hopOf, type Piece, type TakeShape } from './stage';
import { thumpFinder } from './thumps';
import { truePeak } from './true-peak';
import { whineOf, type Whine } from './whine';

/** Mean squares by bin of the loudest channel, while it sounds and in its pauses. */
export interface Spectrum {
  readonly stepHz: number;
  readonly active: Float32Array;
  readonly quiet?: Float32Array;
}

/** All that is measured of a take. Where a thing is not there, null. */
export interface Measures {
  readonly sampleRate: number;
  readonly channels: number;
  readonly durationSeconds: number;
  readonly loudness: Loudness;
  readonly truePeakDbtp: readonly number[];
  readonly levels: readonly ChannelLevel[];
  readonly pauses: readonly Pauses[];
  readonly clipping: Clipping | null;
  readonly hum: (Hum & { readonly channel: number }) | null;
  readonly whine: Whine | null;
  readonly band: Band | null;
  readonly image: Image;
  readonly sideDelay: SideDelay | null;
  readonly echo: Echo | null;
  readonly dropouts: readonly Dropout[];
  readonly clicks: readonly number[];
  readonly thumps: readonly number[];
  /** Rise of the noise within pauses, dB. */
  readonly riseDb: number | null;
  /** Mean squares of tenths of a second, of each channel. */
  readonly windows: readonly Float32Array[];
  readonly outline: Envelope['outline'];
  readonly spectrum: Spectrum;
}

/** Frames: of the whole band; of the mains’ family, brought down to about 2.7 kHz. How many of the quietest are kept of each. */
const [WHOLE, MAINS, KEPT] = [4096, 2048, 24];
/** Every frame of the first is transformed for the mean spectrum, then each so many: a mean needs no more. */
const [ALL_OF_THE_FIRST, THEN_EACH] = [64, 8];
/** A line of the mains is there in most of the quietest frames; a voice is not. */
const STEADY = 0.4;
/** Frames that hold so many times the power of the pauses have speech in them. Our own. */
const SPOKEN_IN = 10;
/** Echo and mains are looked for in what is brought down to about so much, Hz. */
const [ECHO_RATE, MAINS_RATE] = [8000, 2600];

function channelSpectra(sampleRate: number) {
  const transform = powerSpectrum(WHOLE);
  const quiet = quietest(KEPT, transform);
  const active = new Float64Array(WHOLE / 2 + 1);
  let [seen, added] = [0, 0];
  const cut = framer(WHOLE, WHOLE, (frame) => {
    quiet.offer(frame);
    seen += 1;
    if (seen > ALL_OF_THE_FIRST && seen % THEN_EACH !== 0) return;
    const powers = transform(frame);
    for (let k = 0; k < powers.length; k += 1) active[k] = (active[k] as number) + (powers[k] as number);
    added += 1;
  });
  return {
    push: cut,
    finish: (): Spectrum => {
      const pauses = quiet.spectrum(0.25);
      return {
        stepHz: sampleRate / WHOLE,
        active: Float32Array.from(active, (p) => p / Math.max(1, added)),
        ...(pauses && { quiet: pauses }),
      };
    },
  };
}

/** What is read off a channel at lower rates: mains, thumps, and what is handed on to the search for echo. */
function lower(sampleRate: number) {
  const first = Math.max(1, (sampleRate / ECHO_RATE) | 0);
  const second = Math.max(1, (sampleRate / first / MAINS_RATE) | 0);
  const [toEcho, toMains] = [decimator(first), decimator(second)];
  const rate = sampleRate / first / second;
  const quiet = quietest(KEPT, powerSpectrum(MAINS));
  const thumps = thumpFinder(rate);
  const cut = framer(MAINS, MAINS / 2, quiet.offer);
  // What the two filters took off a bin is given back.
  const level = (power: number, bin: number) => {
    const hertz = (bin * rate) / MAINS;
    return power / (droopAt(first, hertz / sampleRate) * droopAt(second, hertz / (sampleRate / first))) ** 2;
  };
  return {
    rate: sampleRate / first,
    push(samples: Float32Array): Float32Array {
      const middle = toEcho(samples);
      const low = toMains(middle);
      cut(low);
      thumps.push(low);
      return middle;
    },
    /** `floor`: mean square of the pauses. Where none lasts for a frame, a voice stands in them all, and nothing is said. */
    hum: (floor: number | undefined) =>
      floor !== undefined && quiet.level(STEADY) > SPOKEN_IN * floor
        ? null
        : humOf(quiet.spectrum(STEADY)?.map(level), rate / MAINS),
    thumps: thumps.finish,
  };
}

function delayBetween({ sampleRate, channels }: TakeShape) {
  if (channels < 2) return { push: () => undefined, finish: () => null };
  const delay = sideDelay(sampleRate, WHOLE);
  const waiting: Float32Array[] = [];
  let seen = 0;
  // Both sides come in pieces of one length: each frame of the right has its left already waiting.
  const left = framer(WHOLE, WHOLE, (frame) => waiting.push(frame.slice()));
  const right = framer(WHOLE, WHOLE, (frame) => {
    const other = waiting.shift();
    seen += 1;
    if (other && (seen <= ALL_OF_THE_FIRST || seen % (2 * THEN_EACH) === 0)) delay.push(other, frame);
  });
  return {
    push([l, r]: Piece) {
      if (!l || !r) return;
      left(l);
      right(r);
    },
    finish: delay.finish,
  };
}

/** Hops to a piece as the measures want them: about a second. */
const PIECE_HOPS = 1024;

/** Recuts pieces of any length into whole hops; the last may be short. */
function recut({ sampleRate, channels }: TakeShape, use: (piece: Piece) => void) {
  const size = hopOf(sampleRate) * PIECE_HOPS;
  let waiting = Array.from({ length: channels }, () => new Float32Array(size));
  let filled = 0;
  return {
    push(piece: Piece) {
      const length = piece[0]?.length ?? 0;
      for (let from = 0; from < length;) {
        const to = Math.min(length, from + size - filled);
        waiting.forEach((kept, channel) =>
          kept.set((piece[channel] as Float32Array).subarray(from, to), filled),
        );
        filled += to - from;
        from = to;
        if (filled < size) continue;
        use(waiting);
        waiting = waiting.map(() => new Float32Array(size));
        filled = 0;
      }
    },
    rest() {
      if (filled > 0) use(waiting.map((kept) => kept.subarray(0, filled)));
    },
  };
}

type Each = readonly {
  readonly spectra: ReturnType<typeof channelSpectra>;
  readonly low: ReturnType<typeof lower>;
}[];

/** What is read off the channels in the end: of the loudest, but for hum, which may lie on the other. */
function readOff(each: Each, { envelope }: Levels, { roughness }: Jumps, shape: TakeShape) {
  const windows = envelope.channels.map((_, channel) => windowPowers(envelope, channel));
  const pauses = windows.map(pausesOf);
  const main = pauses.reduce(
    (best, p, i) => (p.activeDbfs > (pauses[best]?.activeDbfs ?? -Infinity) ? i : best),
    0,
  );
  const spectrum = each[main]?.spectra.finish() ?? { stepHz: 0, active: new Float32Array() };
  const hums = each.flatMap(({ low }, channel) => {
    const floor = pauses[channel]?.floorDbfs;
    const hum = low.hum(floor === undefined ? undefined : 10 ** (floor / 10));
    return hum ? [{ ...hum, channel }] : [];
  });
  const powers = envelope.channels[main] ?? new Float32Array();
  const rough = roughness[main] ?? new Float32Array();
  const active = 10 ** ((pauses[main]?.activeDbfs ?? -Infinity) / 10);
  return {
    pauses,
    windows,
    hum: hums.sort((a, b) => b.levelDbfs - a.levelDbfs)[0] ?? null,
    whine: whineOf(spectrum.quiet, spectrum.stepHz),
    band: bandOf(spectrum.active, spectrum.quiet, spectrum.stepHz),
    image: imageOf(envelope),
    dropouts: gapsOf({ powers, rough, active }, (envelope.hop / shape.sampleRate) * 1000),
    thumps: each[main]?.low.thumps() ?? [],
    riseDb: riseInPauses(windows[main] ?? new Float32Array()),
    spectrum,
  };
}

/** A hole has an edge on both sides that is no click of its own. */
const EDGE_SECONDS = 0.005;
const besides = ({ atSeconds, lengthMs }: Dropout, at: number): boolean =>
  at > atSeconds - EDGE_SECONDS && at < atSeconds + lengthMs / 1000 + EDGE_SECONDS;

/** Measures a take as it comes. `seconds`: its length, where it is known: short takes are looked at in shorter frames. */
export function measuring(shape: TakeShape, seconds?: number) {
  const { sampleRate, channels } = shape;
  const level = levels(shape);
  const [loud, peaks, flat, jumps] = [loudness(shape), truePeak(shape), clipping(shape), clicks(shape)];
  const each: Each = Array.from({ length: channels }, () => ({
    spectra: channelSpectra(sampleRate),
    low: lower(sampleRate),
  }));
  const echo = echoFinder(each[0]?.low.rate ?? sampleRate, seconds, channels);
  const between = delayBetween(shape);
  const cut = recut(shape, (piece) => {
    const tops = level.push(piece);
    for (const stage of [loud, peaks, flat, jumps]) stage.push(piece, tops);
    each.forEach(({ spectra, low }, channel) => {
      const samples = piece[channel] as Float32Array;
      spectra.push(samples);
      echo.push(low.push(samples), channel);
    });
    between.push(piece);
  });
  return {
    push: cut.push,
    finish(): Measures {
      cut.rest();
      const [found, jumped] = [level.finish(), jumps.finish()];
      const rest = readOff(each, found, jumped, shape);
      return {
        sampleRate,
        channels,
        durationSeconds: found.samples / sampleRate,
        loudness: loud.finish(),
        truePeakDbtp: peaks.finish(),
        levels: found.channels,
        clipping: flat.finish(),
        sideDelay: rest.image.correlation === null ? null : between.finish(),
        echo: echo.finish(),
        clicks: jumped.seconds.filter((at) => !rest.dropouts.some((hole) => besides(hole, at))),
        outline: found.envelope.outline,
        ...rest,
      };
    },
  };
}
