import { magnitude, nodeKey, type NetElement, type StagePath } from '../engine/circuit';
import { comesTo, type Arrival } from '../engine/flow';
import type { Facts } from '../engine';
import { SINE_CREST } from '../units';

type Sense = Extract<NetElement, { kind: 'sense' }>;
type Drive = Extract<NetElement, { kind: 'drive' }>;

/** Whether anything of a source stands at a stage's input. */
export const reachesSense = (facts: Facts, source: string, sense: Sense): boolean =>
  comesTo(
    facts,
    facts.voices
      .filter((voice) => voice.placed === source && Number.isFinite(voice.level))
      .map(({ id }) => id),
    sense,
  );

const sensed = new WeakMap<Facts, ReadonlyMap<string, Sense>>();

/** The inputs of all stages, by their ids; collected once. */
export function sensesOf(facts: Facts): ReadonlyMap<string, Sense> {
  const known = sensed.get(facts);
  if (known) return known;
  const found = new Map(facts.elements.flatMap((e) => (e.kind === 'sense' ? [[e.id, e] as const] : [])));
  sensed.set(facts, found);
  return found;
}

const dead = new WeakMap<Facts, readonly { readonly path: StagePath; readonly sense: Sense }[]>();

/** Every path that carries nothing, switched off or without power, with the stage input it starts from; found once. */
function silentPaths(facts: Facts) {
  const known = dead.get(facts);
  if (known) return known;
  const working = new Set(facts.netlist.paths.filter((path) => path.gain !== 0));
  const senses = sensesOf(facts);
  const found = facts.paths.flatMap((path) => {
    const sense = senses.get(path.from);
    return sense && !working.has(path) ? [{ path, sense }] : [];
  });
  dead.set(facts, found);
  return found;
}

/** Paths of the rig that carry nothing although a source stands at their input: switched off, or without power. */
export function deadPaths(facts: Facts, source: string): StagePath[] {
  const reached = new Map<string, boolean>();
  return silentPaths(facts)
    .filter(({ sense }) => {
      const known = reached.get(sense.id) ?? reachesSense(facts, source, sense);
      reached.set(sense.id, known);
      return known;
    })
    .map(({ path }) => path);
}

/** Whether a stage's output leads, through whatever works, to a converter of this recorder, or to the one input of it named. */
export function leadsToRecorder(facts: Facts, drive: string, recorder: string, records?: string): boolean {
  return facts.inputs
    .filter(
      (i) => i.host === recorder && (records === undefined || `${i.placed}/${i.capture.id}` === records),
    )
    .some((input) =>
      input.capture.channels.some(({ plus, minus }) => {
        const net = (node: string) => facts.nets.of(nodeKey(input.placed, node));
        const gain = facts.alternating.gain(drive, net(plus), net(minus));
        return gain !== undefined && magnitude(gain) > 0;
      }),
    );
}

/** A stage that the peaks of what arrives drive past its clip level, with those peaks, dBV. */
export interface Overdriven {
  readonly stage: Drive;
  readonly peak: number;
}

/** Every such stage between a source and its recorder. */
export const overdriven = (facts: Facts, { source, recorder, records }: Arrival): Overdriven[] => {
  const voices = facts.voices.filter((voice) => voice.placed === source);
  return facts.elements
    .filter((element): element is Drive => element.kind === 'drive')
    .map((stage) => {
      const levels = voices.map((v) => v.level + facts.alternating.driven(v.id, stage.id) + v.crest);
      return { stage, peak: Math.max(-Infinity, ...levels) - SINE_CREST };
    })
    .filter(({ stage, peak }) => peak > stage.clip && leadsToRecorder(facts, stage.id, recorder, records));
};
