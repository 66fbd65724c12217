import { attachedDevices, type AttachedDevice } from '../bus';
import {
  REFERENCE_FREQUENCY,
  isAlive,
  mateJoints,
  mergeNets,
  netElements,
  netPaths,
  noiseSolver,
  nodeKey,
  readings,
  settle,
  solveAlternating,
  solveDirect,
  touchLinks,
  wiring,
  type AlternatingSolution,
  type DirectSolution,
  type JointMating,
  type NetElement,
  type NetPath,
  type Netlist,
  type Nets,
  type Port,
  type Reading,
  type SoundSource,
  type Wiring,
} from '../circuit';
import {
  arrivalOf,
  hostInputs,
  listeners,
  voiceSource,
  type Arrival,
  type HostInput,
  type Listener,
  type VoiceSource,
} from '../flow';
import type { Capture } from '../parts';
import { laidParts, type LaidPart, type Rig } from '../rig';

/** What is the same in every reading of the joints. */
export interface RigFacts {
  readonly rig: Rig;
  readonly laid: ReadonlyMap<string, LaidPart>;
  readonly matings: readonly JointMating[];
  readonly devices: readonly AttachedDevice[];
  readonly elements: readonly NetElement[];
  readonly paths: readonly NetPath[];
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
  readonly inputs: readonly HostInput[];
  readonly arrivals: readonly Arrival[];
  readonly listeners: readonly Listener[];
}

/** Touches of the likeliest reading: digital plugs have no other. */
function busWiring(rig: Rig, matings: readonly JointMating[]): Wiring {
  const [reading] = readings(matings);
  return wiring({
    elements: netElements(rig, () => false),
    touches: reading ? touchLinks(matings, reading) : [],
  });
}

export function rigFacts(rig: Rig): RigFacts {
  const matings = mateJoints(rig);
  const devices = attachedDevices(rig, busWiring(rig, matings));
  const fed = new Set(devices.filter((d) => d.fed).map(({ placed, device }) => nodeKey(placed, device.port)));
  return {
    rig,
    laid: new Map(laidParts(rig).map((laid) => [laid.placed.id, laid])),
    matings,
    devices,
    elements: netElements(rig, (placed, port) => fed.has(nodeKey(placed, port))),
    paths: netPaths(rig),
  };
}

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

export function readFacts(base: RigFacts, reading: Reading): Facts {
  const { rig, laid } = base;
  const netlist = { elements: base.elements, paths: base.paths, touches: touchLinks(base.matings, reading) };
  const nets = mergeNets(netlist);
  const direct = solveDirect(nets);
  const alternating = solveAlternating(nets, base.paths, REFERENCE_FREQUENCY, aliveIn(nets, direct));
  const sounding = nets.branches.filter(
    (b): b is SoundSource => b.kind === 'signal' || b.kind === 'electret',
  );
  const voices = sounding.flatMap((source) => voiceSource(rig, source) ?? []);
  const noise = noiseSolver(nets, base.paths, capturePorts(nets, laid));
  const gainOf = (placed: string, { gain }: Capture): number => {
    const owner = laid.get(placed);
    return owner && gain !== undefined ? settle(gain, owner) : 0;
  };
  const context = { rig, nets, direct, alternating, noise, gainOf, sources: voices };
  const hosts = [...laid.values()].filter((l) => l.part.host);
  const inputs = hosts.flatMap((host) => hostInputs(context, host, base.devices, laid));
  const arrivals = rig.purpose.recorders.flatMap((id) => {
    const host = laid.get(id);
    if (!host?.part.host) return [];
    const own = inputs.filter((input) => input.host === id);
    return rig.purpose.sources.map((source) => arrivalOf(rig, host, own, source));
  });
  const playing = sounding.filter((s) => s.kind === 'signal' && s.hears === 'playback');
  return {
    ...base,
    reading,
    netlist,
    nets,
    wires: wiring(netlist),
    direct,
    alternating,
    voices,
    inputs,
    arrivals,
    listeners: listeners({ nets, alternating, sources: playing }, [...laid.values()]),
  };
}

/** Facts of every reading, the likeliest first. */
export function allFacts(rig: Rig): readonly [Facts, ...Facts[]] {
  const base = rigFacts(rig);
  const [nominal, ...others] = readings(base.matings).map((reading) => readFacts(base, reading));
  if (!nominal) throw new Error(`rig "${rig.id}": no reading of its joints`);
  return [nominal, ...others];
}
