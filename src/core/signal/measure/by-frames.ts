import { decimator, droopAt } from './decimate';
import { echoFinder, type Echo } from './echo';
import { framer } from './frames';
import { humOf, type Hum } from './hum';
import { powerSpectrum } from './power-spectrum';
import { quietest } from './quietest';
import { sideDelay, type SideDelay } from './sides';
import type { Piece, TakeShape } from './shape';
import { thumpFinder, type BelowVoice } from './thumps';

/** Mean squares by bin of a channel, while it sounds and in its pauses. */
export interface Spectrum {
  readonly stepHz: number;
  readonly active: Float32Array;
  readonly quiet?: Float32Array;
}

/** What is read of one channel in frames. */
export interface ChannelFrames {
  readonly spectrum: Spectrum;
  /** In its quietest frames, and the mean square of those. */
  readonly hum: Hum | null;
  readonly quiet: number;
  readonly below: BelowVoice;
}

/** What is read of a take in frames, by their spectra: plain data, that may come from another thread. */
export interface FrameMeasures {
  readonly channels: readonly ChannelFrames[];
  readonly sideDelay: SideDelay | null;
  readonly echo: Echo | null;
}

/** Frames: of the whole band; of the mains’ family, brought down to about 2.7 kHz. How many of the quietest are kept of each. */
const [WHOLE, MAINS, KEPT] = [4096, 1024, 24];
/** Every frame of the first is transformed for the mean spectrum, then each so many: a mean needs no more. */
const [ALL_OF_THE_FIRST, THEN_EACH] = [64, 16];
/** A line of the mains is there in most of the quietest frames; a voice is not. */
const STEADY = 0.4;
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
    finish: () => ({
      hum: humOf(quiet.spectrum(STEADY)?.map(level), rate / MAINS, quiet.areFew()),
      quiet: quiet.level(STEADY),
      below: thumps.finish(),
    }),
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
    if (other && (seen <= ALL_OF_THE_FIRST || seen % THEN_EACH === 0)) delay.push(other, frame);
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

/** Reads a take in frames. `seconds`: its length, where it is known: short takes are looked at in shorter frames. */
export function byFrames(shape: TakeShape, seconds?: number) {
  const { sampleRate, channels } = shape;
  const each = Array.from({ length: channels }, () => ({
    spectra: channelSpectra(sampleRate),
    low: lower(sampleRate),
  }));
  const echo = echoFinder(each[0]?.low.rate ?? sampleRate, seconds, channels);
  const between = delayBetween(shape);
  return {
    push(piece: Piece): void {
      each.forEach(({ spectra, low }, channel) => {
        const samples = piece[channel] as Float32Array;
        spectra.push(samples);
        echo.push(low.push(samples), channel);
      });
      between.push(piece);
    },
    finish: (): FrameMeasures => ({
      channels: each.map(({ spectra, low }) => ({ spectrum: spectra.finish(), ...low.finish() })),
      sideDelay: between.finish(),
      echo: echo.finish(),
    }),
  };
}
