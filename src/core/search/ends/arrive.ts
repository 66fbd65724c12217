import { FAINTEST } from '../../checks';
import { isNoticed as isTaken, readHeadset, senseResistance, SIDE_WITHIN } from '../../engine/flow';
import { hasInputsApart, type Capture, type Part, type PartPort } from '../../parts';
import { SINE_CREST, volts } from '../../units';
import { LEAST_OVER_NOISE } from '../settings';
import { departures, type Departure } from './classes';
import { feeds, type OpenEnd, type Sides } from './end';
import { join, type Joined, type Voices } from './join';
import { rangeOf } from './part-net';
import { areApart } from './leave';
import { passageOf } from './passage';
import { cancels, size, type Amplitude } from './stages';

/** The estimate may be off by so much, dB: what is nearer to a limit is left for the pipeline to say. */
const GRACE = 3;
/** What comes of a sound so far under another of its source, dB, leaks from contact to contact. */
const LEAKS = 60;

const level = (amplitude: readonly [number, number]): number => 20 * Math.log10(size(amplitude));

/** Whether a sound comes to as many sides of a converter as it has to. */
function suffices(capture: Capture, sides: Sides, left: boolean, right: boolean): boolean {
  const hasTwo = ['left', 'right'].every((side) => capture.channels.some((channel) => channel.side === side));
  switch (sides) {
    case 'any':
    case 'pair':
      return true;
    case 'two by pair':
    case 'split':
      return hasTwo;
    case 'both':
      return hasInputsApart(capture) || left === right;
    case 'each':
      return left === right;
    case 'two':
      return hasTwo && left && right;
  }
}

/** A sound at one channel of a converter: peaks in dBFS with every knob at the most and at the least, and over the converter's noise. */
interface Heard {
  readonly side: string;
  readonly phase: readonly [number, number];
  readonly most: number;
  readonly least: number;
  /** With the converter's own knobs at the least, and all that stand ahead of it at the most. */
  readonly full: number;
  readonly over: number;
}

/** The loudest peaks that a converter makes of what comes to it, dBFS: with every knob at the most, and with its own at the least. */
export interface Peaks {
  readonly most: number;
  readonly full: number;
}

function heardOf(
  part: Part,
  capture: Capture,
  amplitudes: (channel: number) => Amplitude | undefined,
  crest: number,
): Heard[] {
  return capture.channels.flatMap(({ gain, side }, n) => {
    const amplitude = amplitudes(n);
    if (!amplitude || !(Math.hypot(...amplitude.most) > 1e-9)) return [];
    const gains = [capture.gain, gain].map((q) =>
      q === undefined ? { least: 0, most: 0 } : rangeOf(q, part),
    );
    const [least, most] = [gains.reduce((s, g) => s + g.least, 0), gains.reduce((s, g) => s + g.most, 0)];
    const peak = crest - SINE_CREST - capture.fullScale;
    return [
      {
        side,
        phase: amplitude.most,
        most: level(amplitude.most) + peak + most,
        least: level(amplitude.least) + peak + least,
        full: level(amplitude.most) + peak + least,
        over: level(amplitude.most) + crest - SINE_CREST - capture.noise,
      },
    ];
  });
}

/** Whether two of several sounds have a side of a converter each. */
const stayApart = ({ id, channels }: Capture, heard: Joined['heard']): boolean => {
  const byChannel = channels.map((_, n) => heard.get(`${id}#${n}`) ?? []);
  const sounds = Math.max(...byChannel.map(({ length }) => length));
  return areApart(
    Array.from({ length: sounds }, (_unused, sound) =>
      byChannel.map((amplitudes) => size(amplitudes[sound]?.most ?? [0, 0])),
    ),
  );
};

/** What a converter makes of what comes to it; undefined where it does not hear every sound well: faint, or drowned, or past full scale with every knob down. */
function converts(part: Part, capture: Capture, { heard, sounds, sides }: Joined): Peaks | undefined {
  const isGone = (n: number) => cancels(heard.get(`${capture.id}#${n}`) ?? []);
  const all: Heard[] = [];
  const bySound = sounds.map(({ crest }, index) =>
    heardOf(part, capture, (n) => (isGone(n) ? undefined : heard.get(`${capture.id}#${n}`)?.[index]), crest),
  );
  const most = Math.max(...bySound.flat().map((one) => one.most));
  for (const channels of bySound) {
    const [first] = [...channels].sort((a, b) => b.most - a.most);
    // Of a source with several outputs not every one comes by every way: what leaks of the others is nothing.
    if (!first || first.most < most - LEAKS) continue;
    if (first.most < FAINTEST - GRACE || first.over < LEAST_OVER_NOISE - GRACE || first.least > GRACE)
      return undefined;
    const carrying = channels.filter((one) => one.most > first.most - SIDE_WITHIN);
    const [left, right] = [carrying.find((c) => c.side === 'left'), carrying.find((c) => c.side === 'right')];
    if (left && right && left.phase[0] * right.phase[0] + left.phase[1] * right.phase[1] < 0)
      return undefined;
    all.push(...carrying);
  }
  if (sides === 'split' && !stayApart(capture, heard)) return undefined;
  const loudest = Math.max(...all.map(({ most }) => most));
  const on = (side: string) => all.some((one) => one.side === side && one.most > loudest - SIDE_WITHIN);
  if (all.length === 0 || !suffices(capture, sides, on('left'), on('right'))) return undefined;
  return { most: loudest, full: Math.max(...all.map(({ full }) => full)) };
}

/** A jack that looks for a microphone finds one, whatever else is switched on. */
function isNoticed(joined: Joined, part: Part, capture: Capture): boolean {
  const { detection } = capture;
  if (!detection || part.host?.selects === 'when-plugged') return true;
  const form = joined.wants.length + (part.captures ?? []).filter((one) => one.detection).indexOf(capture);
  return isTaken(readHeadset(senseResistance(detection, volts(joined.standing(form)))));
}

/** Of what may be made of a sound the most; undefined where nothing is. */
function loudestOf(all: readonly Peaks[]): Peaks | undefined {
  if (all.length === 0) return undefined;
  return {
    most: Math.max(...all.map(({ most }) => most)),
    full: Math.min(...all.map(({ full }) => full)),
  };
}

/** What a converter of a part makes of an open end at one of its ports; undefined where none of them hears it well in every reading of the joint. */
export function arrive(
  part: Part,
  entry: PartPort | undefined,
  end: OpenEnd | undefined,
  captures: readonly Capture[],
  voices?: Voices,
): Peaks | undefined {
  const others = entry && end ? departures(end.port, entry) : [];
  const all: Peaks[] = [];
  for (const reading of [undefined, ...others]) {
    const peaks = inReading(part, entry, end, captures, voices, reading);
    if (!peaks) return undefined;
    all.push(peaks);
  }
  return loudestOf(all);
}

function inReading(
  part: Part,
  entry: PartPort | undefined,
  end: OpenEnd | undefined,
  captures: readonly Capture[],
  voices: Voices | undefined,
  reading: Departure | undefined,
): Peaks | undefined {
  const passage = passageOf(part, entry ? [entry] : []);
  const joined = join(passage, entry, end, voices, reading, true);
  if (!joined || joined.clipped) return undefined;
  if (!joined.wants.every((want, w) => feeds(want, joined.standing(w), part))) return undefined;
  return loudestOf(
    captures.flatMap((capture) =>
      isNoticed(joined, part, capture) ? (converts(part, capture, joined) ?? []) : [],
    ),
  );
}

/** Whether what a source wants to be fed with comes to it from a part whose port it is joined to, and no more than it bears. */
export function isFedAt(part: Part, entry: PartPort, end: OpenEnd): boolean {
  const joined = join(passageOf(part, [entry]), entry, end);
  const own = end.analogue?.wants ?? [];
  return joined !== undefined && own.every((want, w) => feeds(want, joined.standing(w), part));
}
