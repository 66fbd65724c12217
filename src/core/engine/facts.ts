import type { DbV, Hertz } from '../units';
import { attachedDevices, livePowered, type AttachedDevice } from './bus';
import { outletAt } from './supply';
import {
  REFERENCE_FREQUENCY,
  dieAway,
  isAlive,
  netPaths,
  networkOf,
  noiseShares,
  noiseSolver,
  nodeKey,
  partCircuit,
  solveAlternating,
  touchLinks,
  type AlternatingSolution,
  type Branch,
  type DirectSolution,
  type NetElement,
  type Netlist,
  type Nets,
  type NoiseShare,
  type Network,
  type PartCircuit,
  type Port,
  type SoundSource,
  type StagePath,
  type TouchLink,
  type Wiring,
} from './circuit';
import { mateJoints, readings, type JointMating, type Reading } from './mate';
import {
  arrivalOf,
  hostInputs,
  socketsOf,
  voiceSource,
  type Arrival,
  type HostInput,
  type VoiceSource,
} from './flow';
import { listeners, playbackPlaces, type Listener } from './returns';
import { jointAt, laidParts, type LaidPart, type Rig } from '../rig';

/** What is taken for granted to see what else would go: parts that are fed, whatever their supply. */
export interface Assumptions {
  readonly fed: readonly string[];
}

const NOTHING_ASSUMED: Assumptions = { fed: [] };

/** What is the same in every reading of the joints. */
export interface RigFacts {
  readonly rig: Rig;
  readonly laid: ReadonlyMap<string, LaidPart>;
  readonly matings: readonly JointMating[];
  /** The likeliest first. */
  readonly readings: readonly Reading[];
  readonly devices: readonly AttachedDevice[];
  /** Whether a part's stages have power. */
  readonly isLive: (placed: string) => boolean;
  /** Where the playback of each host comes out: part that plays → host. */
  readonly playsAt: ReadonlyMap<string, string>;
  readonly circuits: readonly PartCircuit[];
  readonly elements: readonly NetElement[];
  readonly paths: readonly StagePath[];
}

/** Everything computed from one reading of the joints. The checks read this and nothing else. */
export interface Facts extends RigFacts {
  readonly reading: Reading;
  readonly netlist: Netlist;
  readonly nets: Nets;
  readonly wires: Wiring;
  readonly direct: DirectSolution;
  /** At 1 kHz. */
  readonly alternating: AlternatingSolution;
  /** At any frequency; worked out when first asked for. */
  readonly alternatingAt: (frequency: Hertz) => AlternatingSolution;
  /** Noise of resistors and stages between two nets at which a converter listens or a stage senses, dBV. */
  readonly noise: (plus: number | undefined, minus: number | undefined) => DbV;
  /** The same by what brings it; nothing where the nets are none. */
  readonly noiseShares: (plus: number | undefined, minus: number | undefined) => readonly NoiseShare[];
  readonly voices: readonly VoiceSource[];
  readonly playing: readonly SoundSource[];
  readonly inputs: readonly HostInput[];
  readonly arrivals: readonly Arrival[];
  readonly listeners: readonly Listener[];
}

/** Touches as text, kept as long as they are. */
const touchKeys = new WeakMap<readonly TouchLink[], string>();

function touchKey(touches: readonly TouchLink[]): string {
  const found = touchKeys.get(touches) ?? touches.map((t) => `${t.plug} ${t.jack} ${t.joint}`).join('\n');
  touchKeys.set(touches, found);
  return found;
}

export const circuitKey = (circuits: readonly PartCircuit[], touches: readonly TouchLink[]): string =>
  `${circuits.map(({ key }) => key).join('\n')}\n\n${touchKey(touches)}`;

const UNPOWERED = { isFed: () => false, isLive: () => false };

export function rigFacts(rig: Rig, assumed: Assumptions = NOTHING_ASSUMED): RigFacts {
  const matings = mateJoints(rig);
  const parts = laidParts(rig);
  // Digital plugs have no uncertain reading, so the likeliest serves for the bus; what has power is not known yet.
  const read = readings(matings);
  const [reading] = read;
  const touches = reading ? touchLinks(matings, reading) : [];
  const bare = parts.map((one) => partCircuit(one, UNPOWERED));
  const { wires } = networkOf(
    circuitKey(bare, touches),
    bare.flatMap((c) => c.elements),
    touches,
  );
  const taken = new Set(assumed.fed);
  const devices = attachedDevices(rig, wires, taken);
  const fed = new Set(devices.filter((d) => d.fed).map(({ placed, device }) => nodeKey(placed, device.port)));
  const powered = livePowered(rig, wires, devices);
  const isLive = (placed: string) => taken.has(placed) || powered(placed);
  const laid = new Map(parts.map((l) => [l.placed.id, l]));
  // A part that feeds itself feeds its phantom supply too, and a charger or power bank feeds what hangs on it.
  const isFed = (placed: string, port: string) =>
    fed.has(nodeKey(placed, port)) ||
    (laid.get(placed)?.part.power !== undefined && isLive(placed)) ||
    outletAt({ rig, laid, wires }, placed, port) !== undefined;
  const circuits = parts.map((one) => partCircuit(one, { isFed, isLive }));
  return {
    rig,
    laid,
    matings,
    readings: read,
    devices,
    isLive,
    playsAt: playbackPlaces(laid, devices),
    circuits,
    elements: circuits.flatMap((circuit) => circuit.elements),
    paths: netPaths(rig, { isLive, isFed }),
  };
}

/** Paths whose stages have the phantom power that they want. */
const poweredPaths = (paths: readonly StagePath[], { nets, direct }: Network): StagePath[] =>
  paths.filter(
    ({ needs }) => !needs || (direct.between(nets.of(needs.plus), nets.of(needs.minus)) ?? 0) >= needs.volts,
  );

/** The nets between which converters listen; one with nothing plugged in hears nothing that anybody asks about. */
const capturePorts = ({ nets }: Network, { rig, laid }: RigFacts): Port[] =>
  [...laid.values()].flatMap(({ placed, part }) =>
    (part.captures ?? [])
      .filter((capture) => socketsOf(capture).some((port) => jointAt(rig, { part: placed.id, port })))
      .flatMap((capture) =>
        capture.channels.map(
          ({ plus, minus }) =>
            [nets.of(nodeKey(placed.id, plus)), nets.of(nodeKey(placed.id, minus))] as const,
        ),
      ),
  );

const isSound = (branch: Branch): branch is SoundSource =>
  branch.kind === 'signal' || branch.kind === 'electret';

/** A source of a kept circuit as loud as it is in this rig: the equations do not hang on that. */
function loudnessNow(elements: readonly NetElement[]): (source: SoundSource) => SoundSource {
  const now = new Map(elements.flatMap((e) => (e.kind === 'signal' ? [[e.id, e] as const] : [])));
  return (source) => {
    const found = source.kind === 'signal' ? now.get(source.id) : undefined;
    return source.kind === 'signal' && found
      ? { ...source, sensitivity: found.sensitivity, noise: found.noise }
      : source;
  };
}

function arrivalsAt(base: RigFacts, inputs: readonly HostInput[]): Arrival[] {
  const { rig, laid, devices } = base;
  return rig.purpose.recorders.flatMap((id) => {
    const host = laid.get(id);
    if (!host?.part.host) return [];
    const own = inputs.filter((input) => input.host === id);
    return rig.purpose.sources.map((source) => arrivalOf(rig, host, own, source, devices));
  });
}

export function readFacts(base: RigFacts, reading: Reading): Facts {
  const { rig, laid, playsAt } = base;
  const touches = touchLinks(base.matings, reading);
  const network = networkOf(circuitKey(base.circuits, touches), base.elements, touches);
  const { nets, direct } = network;
  const paths = poweredPaths(base.paths, network);
  const alive = (source: SoundSource) => isAlive(source, nets, direct);
  const byFrequency = new Map<number, AlternatingSolution>();
  const alternatingAt = (frequency: Hertz): AlternatingSolution => {
    const known = byFrequency.get(frequency) ?? solveAlternating(network, paths, frequency, alive);
    byFrequency.set(frequency, known);
    return known;
  };
  const alternating = alternatingAt(REFERENCE_FREQUENCY);
  const sounding = nets.branches.filter(isSound).map(loudnessNow(base.elements));
  const voices = sounding.flatMap((source) => voiceSource(rig, source, playsAt) ?? []);
  const [ports, loops] = [capturePorts(network, base), !dieAway(alternating.loops)];
  const noise = noiseSolver(network, paths, ports, loops);
  const shares: Facts['noiseShares'] = (plus, minus) =>
    plus === undefined || minus === undefined ? [] : noiseShares(network, paths, ports, [plus, minus], loops);
  const context = { rig, nets, direct, alternating, noise, laid, sources: voices };
  const hosts = [...laid.values()].filter((l) => l.part.host);
  const inputs = hosts.flatMap((host) => hostInputs(context, host, base.devices));
  const arrivals = arrivalsAt(base, inputs);
  const playing = sounding.filter((s) => s.kind === 'signal' && s.hears === 'playback');
  const { sources } = rig.purpose;
  let heard: readonly Listener[] | undefined;
  return {
    ...base,
    reading,
    netlist: { elements: base.elements, paths, touches },
    nets,
    wires: network.wires,
    direct,
    alternating,
    alternatingAt,
    noise,
    noiseShares: shares,
    voices,
    playing,
    inputs,
    arrivals,
    get listeners() {
      heard ??= listeners({ nets, alternating, playing, voices, arrivals, laid, playsAt, sources });
      return heard;
    },
  };
}

/** Facts of the likeliest reading, and of every reading once they are asked for. */
export interface FactsInTurn {
  readonly nominal: Facts;
  readonly all: () => readonly [Facts, ...Facts[]];
}

/** What the likeliest reading says, before anything is spent on the others. */
export function factsInTurn(rig: Rig, assumed?: Assumptions): FactsInTurn {
  const base = rigFacts(rig, assumed);
  const [likeliest, ...others] = base.readings;
  if (!likeliest) throw new Error(`rig "${rig.id}": no reading of its joints`);
  const nominal = readFacts(base, likeliest);
  let known: readonly [Facts, ...Facts[]] | undefined;
  const all = () => (known ??= [nominal, ...others.map((reading) => readFacts(base, reading))]);
  return { nominal, all };
}

/** Facts of every reading, the likeliest first. */
export const allFacts = (rig: Rig, assumed?: Assumptions): readonly [Facts, ...Facts[]] =>
  factsInTurn(rig, assumed).all();
