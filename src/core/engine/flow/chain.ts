import {
  magnitude,
  nodeKey,
  pathsInto,
  times,
  type AlternatingSolution,
  type NetElement,
  type Nets,
  type Phasor,
  type StagePath,
} from '../circuit';
import { SINE_CREST, dbV, gainToDb, milliseconds, type DbV, type Milliseconds } from '../../units';
import type { HostInput } from './inputs';
import type { VoiceSource } from './sources';

/** A place on the way from a source to a converter, in the order in which the sound passes. */
export interface Stage {
  readonly placed: string;
  readonly is: 'source' | 'input' | 'output' | 'converter';
  /** RMS and peaks of the source here, dBV. */
  readonly level: DbV;
  readonly peak: DbV;
  /** Peak dBV at which the stage clips, or the converter is at full scale; null where unknown. */
  readonly clipLevel: DbV | null;
  /** Since the sound was made, by digital stages. */
  readonly delay: Milliseconds;
  /** Of an output: the sense and the drive between which it lies. */
  readonly path?: { readonly from: string; readonly to: string };
}

/** The way by which most of a source comes to one converter channel. */
export interface Chain {
  readonly source: string;
  readonly input: string;
  readonly number: number;
  readonly stages: readonly Stage[];
  /** Positive pressure makes the sample positive (1) or negative (−1) at 1 kHz. */
  readonly polarity: 1 | -1;
}

export interface ChainContext {
  readonly nets: Nets;
  readonly alternating: AlternatingSolution;
  readonly elements: readonly NetElement[];
  readonly paths: readonly StagePath[];
}

type Sense = Extract<NetElement, { kind: 'sense' }>;
type Drive = Extract<NetElement, { kind: 'drive' }>;

/** Stages follow one another no deeper than this; a loop ends here. */
const DEEPEST = 24;

const strongest = <T extends { readonly weight: number }>(list: readonly T[]): T | undefined =>
  list.reduce<T | undefined>((best, item) => (best && best.weight >= item.weight ? best : item), undefined);

interface Tracer extends ChainContext {
  readonly senses: ReadonlyMap<string, Sense>;
  readonly drives: ReadonlyMap<string, Drive>;
  /** Paths that carry something, by the drive that they lead to. */
  readonly into: ReadonlyMap<string, readonly StagePath[]>;
  /** Ways that were followed already. */
  readonly followed: Map<string, readonly Crossing[]>;
}

interface Crossing {
  readonly drive: Drive;
  readonly sense: Sense;
  readonly path: StagePath;
}

/** The stages crossed between the source and two nets, in the order in which the sound passes. */
function crossings(tracer: Tracer, source: VoiceSource, from: number, to: number): readonly Crossing[] {
  const key = `${source.id} ${from} ${to}`;
  const found = tracer.followed.get(key) ?? followed(tracer, source, from, to);
  tracer.followed.set(key, found);
  return found;
}

/** Followed backwards, from between two nets to the source. */
function followed(tracer: Tracer, source: VoiceSource, from: number, to: number): Crossing[] {
  const found: Crossing[] = [];
  let [p, m] = [from, to];
  while (found.length < DEEPEST) {
    const brought = tracer.alternating.contributions(source.id, p, m);
    const most = strongest(brought.map(({ exciter, volts }) => ({ exciter, weight: magnitude(volts) })));
    if (!most || most.exciter === source.id) return found;
    const drive = tracer.drives.get(most.exciter);
    const incoming = (tracer.into.get(most.exciter) ?? []).flatMap((path) => {
      const sense = tracer.senses.get(path.from);
      const gain = sense && gainAt(tracer, source, sense);
      return sense && gain ? [{ path, sense, weight: magnitude(times(gain, path.gain)) }] : [];
    });
    const way = strongest(incoming);
    if (!drive || !way) return found;
    found.unshift({ drive, sense: way.sense, path: way.path });
    [p, m] = [tracer.nets.of(way.sense.a) ?? -1, tracer.nets.of(way.sense.b) ?? -1];
  }
  return found;
}

const gainAt = (tracer: Tracer, source: VoiceSource, sense: Sense): Phasor | undefined =>
  tracer.alternating.gain(source.id, tracer.nets.of(sense.a), tracer.nets.of(sense.b));

const at = (placed: string, is: Stage['is'], source: VoiceSource, gainDb: number) => {
  const level = dbV(source.level + gainDb);
  return { placed, is, level, peak: dbV(level + source.crest) };
};

function stagesOf(tracer: Tracer, source: VoiceSource, crossed: readonly Crossing[]): Stage[] {
  let delay = 0;
  const passed = crossed.flatMap(({ drive, sense, path }): Stage[] => {
    const gain = gainAt(tracer, source, sense);
    const before = milliseconds(delay);
    delay += path.delay;
    return [
      {
        ...at(sense.placed, 'input', source, gain ? gainToDb(magnitude(gain)) : -Infinity),
        clipLevel: null,
        delay: before,
      },
      {
        ...at(drive.placed, 'output', source, tracer.alternating.driven(source.id, drive.id)),
        clipLevel: dbV(drive.clip + SINE_CREST),
        delay: milliseconds(delay),
        path: { from: path.from, to: path.to },
      },
    ];
  });
  return [{ ...at(source.placed, 'source', source, 0), clipLevel: null, delay: milliseconds(0) }, ...passed];
}

const tracers = new WeakMap<ChainContext, Tracer>();

function tracerOf(context: ChainContext): Tracer {
  const known = tracers.get(context);
  if (known) return known;
  const { nets, alternating, elements, paths } = context;
  const tracer = {
    nets,
    alternating,
    elements,
    paths,
    senses: new Map(elements.flatMap((e) => (e.kind === 'sense' ? [[e.id, e] as const] : []))),
    drives: new Map(elements.flatMap((e) => (e.kind === 'drive' ? [[e.id, e] as const] : []))),
    into: pathsInto(paths),
    followed: new Map<string, readonly Crossing[]>(),
  };
  tracers.set(context, tracer);
  return tracer;
}

/** Stages crossed on the strongest way of a source to a voltage: their parts from the source on, and what they take. */
export function wayInto(
  context: ChainContext,
  source: VoiceSource,
  plus: number | undefined,
  minus: number | undefined,
): { readonly parts: readonly string[]; readonly delay: Milliseconds } {
  if (plus === undefined || minus === undefined) return { parts: [source.placed], delay: milliseconds(0) };
  const crossed = crossings(tracerOf(context), source, plus, minus);
  const parts = [source.placed, ...crossed.map(({ path }) => path.placed)];
  return {
    parts: [...new Set(parts)],
    delay: milliseconds(crossed.reduce((sum, { path }) => sum + path.delay, 0)),
  };
}

/** The chains of one source into every channel of an input that it reaches. */
export function chainsInto(context: ChainContext, source: VoiceSource, input: HostInput): Chain[] {
  const tracer = tracerOf(context);
  return input.channels.flatMap((channel): Chain[] => {
    const signal = channel.signals.find((s) => s.source.id === source.id);
    const spec = input.capture.channels[channel.number - 1];
    if (!signal || !spec) return [];
    const net = (node: string) => context.nets.of(nodeKey(input.placed, node));
    const [plus, minus] = [net(spec.plus), net(spec.minus)];
    if (plus === undefined || minus === undefined) return [];
    const stages = stagesOf(tracer, source, crossings(tracer, source, plus, minus));
    const converter: Stage = {
      ...at(input.placed, 'converter', source, gainToDb(magnitude(signal.gain))),
      clipLevel: dbV(signal.rms + source.crest - signal.peak),
      delay: stages.at(-1)?.delay ?? milliseconds(0),
    };
    return [
      {
        source: source.placed,
        input: `${input.placed}/${input.capture.id}`,
        number: channel.number,
        stages: [...stages, converter],
        polarity: signal.gain.re < 0 ? -1 : 1,
      },
    ];
  });
}
