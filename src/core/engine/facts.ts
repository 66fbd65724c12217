import { attachedDevices, livePowered, type AttachedDevice } from './bus';
import {
  REFERENCE_FREQUENCY,
  isAlive,
  mergeNets,
  netElements,
  netPaths,
  noiseSolver,
  nodeKey,
  powerElements,
  solveAlternating,
  solveDirect,
  touchLinks,
  wiring,
  type AlternatingSolution,
  type Branch,
  type DirectSolution,
  type NetElement,
  type Netlist,
  type Nets,
  type Port,
  type SoundSource,
  type StagePath,
  type Wiring,
} from './circuit';
import { mateJoints, readings, type JointMating, type Reading } from './mate';
import { arrivalOf, hostInputs, voiceSource, type Arrival, type HostInput, type VoiceSource } from './flow';
import { listeners, playbackPlaces, type Listener } from './returns';
import { laidParts, type LaidPart, type Rig } from '../rig';

/** What is the same in every reading of the joints. */
export interface RigFacts {
  readonly rig: Rig;
  readonly laid: ReadonlyMap<string, LaidPart>;
  readonly matings: readonly JointMating[];
  readonly devices: readonly AttachedDevice[];
  /** Whether a part's stages have power. */
  readonly isLive: (placed: string) => boolean;
  /** Where the playback of each host comes out: part that plays → host. */
  readonly playsAt: ReadonlyMap<string, string>;
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
  readonly alternating: AlternatingSolution;
  readonly voices: readonly VoiceSource[];
  readonly playing: readonly SoundSource[];
  readonly inputs: readonly HostInput[];
  readonly arrivals: readonly Arrival[];
  readonly listeners: readonly Listener[];
}

export function rigFacts(rig: Rig): RigFacts {
  const matings = mateJoints(rig);
  const elements = netElements(rig);
  // Digital plugs have no uncertain reading, so the likeliest serves for the bus.
  const [reading] = readings(matings);
  const wires = wiring({ elements, touches: reading ? touchLinks(matings, reading) : [] });
  const devices = attachedDevices(rig, wires);
  const fed = new Set(devices.filter((d) => d.fed).map(({ placed, device }) => nodeKey(placed, device.port)));
  const isLive = livePowered(rig, wires, devices);
  const laid = new Map(laidParts(rig).map((l) => [l.placed.id, l]));
  // A part that feeds itself feeds its phantom supply too.
  const isFed = (placed: string, port: string) =>
    fed.has(nodeKey(placed, port)) || (laid.get(placed)?.part.power !== undefined && isLive(placed));
  return {
    rig,
    laid,
    matings,
    devices,
    isLive,
    playsAt: playbackPlaces(laid, devices),
    elements: powerElements(elements, { isFed, isLive }),
    paths: netPaths(rig, isLive),
  };
}

/** Paths whose stages have the phantom power that they want. */
const poweredPaths = (paths: readonly StagePath[], nets: Nets, direct: DirectSolution): StagePath[] =>
  paths.filter(
    ({ needs }) => !needs || (direct.between(nets.of(needs.plus), nets.of(needs.minus)) ?? 0) >= needs.volts,
  );

const aliveIn = (nets: Nets, direct: DirectSolution) => (source: SoundSource) =>
  isAlive(source, nets, direct);

/** The nets between which converters listen. */
const capturePorts = (nets: Nets, laid: ReadonlyMap<string, LaidPart>): Port[] =>
  [...laid.values()].flatMap(({ placed, part }) =>
    (part.captures ?? []).flatMap((capture) =>
      capture.channels.map(
        ({ plus, minus }) => [nets.of(nodeKey(placed.id, plus)), nets.of(nodeKey(placed.id, minus))] as const,
      ),
    ),
  );

const isSound = (branch: Branch): branch is SoundSource =>
  branch.kind === 'signal' || branch.kind === 'electret';

function arrivalsAt(base: RigFacts, inputs: readonly HostInput[]): Arrival[] {
  const { rig, laid } = base;
  return rig.purpose.recorders.flatMap((id) => {
    const host = laid.get(id);
    if (!host?.part.host) return [];
    const own = inputs.filter((input) => input.host === id);
    return rig.purpose.sources.map((source) => arrivalOf(rig, host, own, source));
  });
}

export function readFacts(base: RigFacts, reading: Reading): Facts {
  const { rig, laid, playsAt } = base;
  const nets = mergeNets({ elements: base.elements, touches: touchLinks(base.matings, reading) });
  const direct = solveDirect(nets);
  const paths = poweredPaths(base.paths, nets, direct);
  const netlist = { elements: base.elements, paths, touches: touchLinks(base.matings, reading) };
  const alternating = solveAlternating(nets, paths, REFERENCE_FREQUENCY, aliveIn(nets, direct));
  const sounding = nets.branches.filter(isSound);
  const voices = sounding.flatMap((source) => voiceSource(rig, source) ?? []);
  const noise = noiseSolver(nets, paths, capturePorts(nets, laid));
  const context = { rig, nets, direct, alternating, noise, laid, sources: voices };
  const hosts = [...laid.values()].filter((l) => l.part.host);
  const inputs = hosts.flatMap((host) => hostInputs(context, host, base.devices));
  const arrivals = arrivalsAt(base, inputs);
  const playing = sounding.filter((s) => s.kind === 'signal' && s.hears === 'playback');
  const { sources } = rig.purpose;
  return {
    ...base,
    reading,
    netlist,
    nets,
    wires: wiring(netlist),
    direct,
    alternating,
    voices,
    playing,
    inputs,
    arrivals,
    listeners: listeners({ nets, alternating, playing, voices, arrivals, laid, playsAt, sources }),
  };
}

/** Facts of every reading, the likeliest first. */
export function allFacts(rig: Rig): readonly [Facts, ...Facts[]] {
  const base = rigFacts(rig);
  const [nominal, ...others] = readings(base.matings).map((reading) => readFacts(base, reading));
  if (!nominal) throw new Error(`rig "${rig.id}": no reading of its joints`);
  return [nominal, ...others];
}
