import { riseInPauses } from './automatic-gain';
import { bandOf, type Band } from './band';
import { firstRateOf } from './first-rate';
import { byFrames, type FrameMeasures, type Spectrum } from './by-frames';
import { byHops, type HopMeasures } from './by-hops';
import type { Clipping } from './clipping';
import type { Echo } from './echo';
import { gapsOf, type Dropout } from './gaps';
import { gainStepOf, type GainStep } from './gain-step';
import type { Hum } from './hum';
import { imageOf, type Image } from './image';
import type { ChannelLevel, Envelope } from './levels';
import type { Loudness } from './loudness';
import { pausesOf, windowPowers, type Pauses } from './pauses';
import { SPOKEN_IN } from './quietest';
import { recut } from './recut';
import { roomOf } from './room';
import type { SideDelay } from './sides';
import type { Piece, TakeShape } from './shape';
import { whineOf, type Whine } from './whine';

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
  /** The rate at which it was made before it was brought up to its own, Hz, where an edge tells. */
  readonly firstRate: number | null;
  readonly image: Image;
  readonly sideDelay: SideDelay | null;
  readonly echo: Echo | null;
  readonly dropouts: readonly Dropout[];
  readonly clicks: readonly number[];
  readonly thumps: readonly number[];
  /** What stands under 50 Hz all the time, at the median of twentieths of a second. */
  readonly rumbleDbfs: number;
  /** In which the room dies away by 60 dB, as far as the take tells. */
  readonly roomSeconds: number | null;
  /** Rise of the noise within pauses, dB. */
  readonly riseDb: number | null;
  /** The largest lasting change of gain. */
  readonly gainStep: GainStep | null;
  /** Mean squares of tenths of a second, of each channel. */
  readonly windows: readonly Float32Array[];
  readonly outline: Envelope['outline'];
  readonly spectrum: Spectrum;
}

/** The loudest hum of all channels. Where no pause lasts for a frame, a voice stands in them all, and nothing is said. */
function loudestHum({ channels }: FrameMeasures, pauses: readonly Pauses[]): Measures['hum'] {
  const hums = channels.flatMap(({ hum, quiet }, channel) => {
    const floor = pauses[channel]?.floorDbfs;
    const spoken = floor !== undefined && quiet > SPOKEN_IN * 10 ** (floor / 10);
    return hum && !spoken ? [{ ...hum, channel }] : [];
  });
  return hums.sort((a, b) => b.levelDbfs - a.levelDbfs)[0] ?? null;
}

/** A hole has an edge on both sides that is no click of its own. */
const EDGE_SECONDS = 0.005;
const besides = ({ atSeconds, lengthMs }: Dropout, at: number): boolean =>
  at > atSeconds - EDGE_SECONDS && at < atSeconds + lengthMs / 1000 + EDGE_SECONDS;

const NO_SPECTRUM: Spectrum = { stepHz: 0, active: new Float32Array() };

/** All measures from both readings: of the loudest channel, but for hum, which may lie on another. */
export function together(shape: TakeShape, hops: HopMeasures, frames: FrameMeasures): Measures {
  const { sampleRate, channels } = shape;
  const { levels, jumps } = hops;
  const { envelope } = levels;
  const windows = envelope.channels.map((_, channel) => windowPowers(envelope, channel));
  const pauses = windows.map(pausesOf);
  const main = pauses.reduce(
    (best, p, i) => (p.activeDbfs > (pauses[best]?.activeDbfs ?? -Infinity) ? i : best),
    0,
  );
  const spectrum = frames.channels[main]?.spectrum ?? NO_SPECTRUM;
  const powers = envelope.channels[main] ?? new Float32Array();
  const rough = jumps.roughness[main] ?? new Float32Array();
  const { activeDbfs = -Infinity } = pauses[main] ?? {};
  const hopMs = (envelope.hop / sampleRate) * 1000;
  const dropouts = gapsOf({ powers, rough, active: 10 ** (activeDbfs / 10) }, hopMs);
  const image = imageOf(envelope);
  const hum = loudestHum(frames, pauses);
  return {
    sampleRate,
    channels,
    durationSeconds: levels.samples / sampleRate,
    loudness: hops.loudness,
    truePeakDbtp: hops.truePeakDbtp,
    levels: levels.channels,
    pauses,
    clipping: hops.clipping,
    hum,
    whine: whineOf(spectrum.quiet, spectrum.stepHz, hum),
    // Where no pause stands out, the quietest frames are no floor.
    band: bandOf(
      spectrum.active,
      pauses[main]?.floorDbfs === undefined ? undefined : spectrum.quiet,
      spectrum.stepHz,
    ),
    firstRate: firstRateOf(spectrum.quiet ?? spectrum.active, spectrum.stepHz),
    image,
    sideDelay: image.correlation === null ? null : frames.sideDelay,
    echo: frames.echo,
    dropouts,
    clicks: jumps.seconds.filter((at) => !dropouts.some((hole) => besides(hole, at))),
    thumps: frames.channels[main]?.below.thumps ?? [],
    rumbleDbfs: frames.channels[main]?.below.rumbleDbfs ?? -Infinity,
    roomSeconds: roomOf(powers, hopMs, activeDbfs, pauses[main]?.floorDbfs),
    riseDb: riseInPauses(windows[main] ?? new Float32Array()),
    gainStep: gainStepOf(windows[main] ?? new Float32Array()),
    windows,
    outline: envelope.outline,
    spectrum,
  };
}

/** Fed with pieces of any length; asked once, in the end. */
export interface Feed<T> {
  readonly push: (piece: Piece) => void;
  readonly finish: () => T;
}

/** One of the two readings of a take as it comes, for whoever has a thread for each; `together` makes the measures of them. */
export function halfMeasuring(half: 'hops', shape: TakeShape): Feed<HopMeasures>;
export function halfMeasuring(half: 'frames', shape: TakeShape, seconds?: number): Feed<FrameMeasures>;
export function halfMeasuring(half: 'hops' | 'frames', shape: TakeShape, seconds?: number) {
  const reading = half === 'hops' ? byHops(shape) : byFrames(shape, seconds);
  const cut = recut(shape, reading.push);
  return {
    push: cut.push,
    finish() {
      cut.rest();
      return reading.finish();
    },
  };
}

/** Measures a take as it comes. `seconds`: its length, where it is known: short takes are looked at in shorter frames. */
export function measuring(shape: TakeShape, seconds?: number): Feed<Measures> {
  const [hops, frames] = [byHops(shape), byFrames(shape, seconds)];
  const cut = recut(shape, (piece) => {
    hops.push(piece);
    frames.push(piece);
  });
  return {
    push: cut.push,
    finish() {
      cut.rest();
      return together(shape, hops.finish(), frames.finish());
    },
  };
}
