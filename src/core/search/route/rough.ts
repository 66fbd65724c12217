import type { Facts } from '../../engine';
import { LOST_DB, outputSides } from '../../checks';
import {
  CLEAR_OF_FIRST,
  CONVERTED_BEHIND,
  EARS_TAKEN,
  FED_FOR_NOTHING,
  HEAPED,
  IN_LINE,
  MIXED_BEHIND,
  PLAYED_FIRST,
  SHARED_OUT,
} from '../bother';
import { magnitude, nodeKey } from '../../engine/circuit';
import { arrivalChains } from '../../engine/levels';
import { gainToDb } from '../../units';
import type { Chain } from '../../engine/flow';
import type { Part } from '../../parts';
import { isDigital } from '../ends';
import type { Layout } from './layout';
import { isBareMicrophone, isSpoken, partOf, type Rig } from '../../rig';

/**
 * What even another of its kind takes half of: a coil, a bare microphone that is no capsule on plug-in power, and what plays, whose output is
 * made to drive an input and not another output.
 */
const isLoadedByItsLike = (part: Part): boolean => {
  const has = (kind: string) => part.circuit.some((one) => one.kind === kind);
  return has('inductor') || !isSpoken(part) || (isBareMicrophone(part) && !has('electret'));
};

/** Whether sources of these kinds load one another where copper joins them: unlike ones, or such as are loaded by their like. */
export const loadOneAnother = (parts: readonly Part[]): boolean =>
  new Set(parts.map(({ id }) => id)).size > 1 || (parts.length > 1 && parts.some(isLoadedByItsLike));

/**
 * Where a chain comes into a stage or a channel of a converter, and what drives it there: a box, or the source by its kind, for two of one
 * kind that do not load one another are as good as one.
 */
function drivenPlaces(
  { rig }: Facts,
  { source, stages, input, number }: Chain,
): [place: string, by: string][] {
  return stages.flatMap(({ is, placed }, n): [string, string][] => {
    const before = stages[n - 1];
    if (!before || (is !== 'input' && is !== 'converter')) return [];
    const place = is === 'converter' ? `${input} ${number}` : `${placed} ${stages[n + 1]?.path?.from ?? ''}`;
    const part = n === 1 ? partOf(rig, source) : undefined;
    return [[place, part && !isLoadedByItsLike(part) ? part.id : `at ${before.placed}`]];
  });
}

/**
 * Unlike sources, coils, bare microphones, what plays or outputs of boxes that copper joins: each loads the other, and no knob behind sets one
 * against the other. What is joined goes into a mixer; a splitter shares out (common practice).
 */
function joinsByCopper(facts: Facts, chains: readonly Chain[]): boolean {
  const drivers = new Map<string, Set<string>>();
  for (const [place, by] of chains.flatMap((chain) => drivenPlaces(facts, chain)))
    drivers.set(place, (drivers.get(place) ?? new Set()).add(by));
  return [...drivers.values()].some(({ size }) => size > 1);
}

function isBare(rig: Rig, source: string): boolean {
  const part = partOf(rig, source);
  return part !== undefined && isBareMicrophone(part);
}

/** A microphone with no power of its own that copper shares out to several things. */
function isSharedOut(rig: Rig, chains: readonly Chain[]): boolean {
  const places = new Map<string, Set<string>>();
  for (const { source, stages } of chains) {
    const first = stages[1]?.placed;
    if (first === undefined || !isBare(rig, source)) continue;
    places.set(source, (places.get(source) ?? new Set()).add(first));
  }
  return [...places.values()].some(({ size }) => size > 1);
}

/** A bare microphone in a socket whose own noise is not far enough under it, such as one for line: what it wants is a preamplifier. */
const isInLine = (facts: Facts, chains: readonly Chain[]): boolean =>
  chains.some(({ source, stages: [, first, next] }) => {
    if (!isBare(facts.rig, source) || first?.is !== 'input') return false;
    const sense = facts.elements.find(
      (e) => e.kind === 'sense' && e.placed === first.placed && e.id === next?.path?.from,
    );
    return sense?.kind === 'sense' && sense.noise !== undefined && first.peak - sense.noise < CLEAR_OF_FIRST;
  });

/** A bare microphone that is loaded so far down that half its power is lost, such as by a transformer into a socket for line: what it wants is a preamplifier, whose input bridges it (common practice). */
const isLoadedDown = (facts: Facts, chains: readonly Chain[]): boolean =>
  [...new Set(chains.map(({ source }) => source))].some((source) => {
    if (!isBare(facts.rig, source)) return false;
    const voice = facts.voices.find(({ placed }) => placed === source);
    return (partOf(facts.rig, source)?.ports ?? []).some(({ id, roles }) => {
      const net = (role: string) => {
        const [contact] = Object.entries(roles ?? {}).find(([, is]) => is === role) ?? [];
        return contact && facts.nets.of(nodeKey(source, `${id}.${contact}`));
      };
      const [hot, cold] = [net('hot'), net('cold')];
      if (!voice || typeof hot !== 'number' || typeof cold !== 'number') return false;
      const gain = facts.alternating.gain(voice.id, hot, cold);
      return gain !== undefined && gainToDb(magnitude(gain)) < -LOST_DB;
    });
  });

/** Whether a stage of a box between gives its sound by a headphone socket: a jack with left and right on it. */
function isByEars(facts: Facts, { source }: Chain, { placed, is, path }: Chain['stages'][number]): boolean {
  const laid = facts.laid.get(placed);
  if (is !== 'output' || !path || !laid || laid.part.host || placed === source) return false;
  const sides = outputSides(facts, laid);
  const hasBoth = ({ port, role }: (typeof sides)[number]) =>
    sides.some((other) => other.port === port && other.role !== role);
  return sides.some((side) => nodeKey(placed, side.gives) === path.to && hasBoth(side));
}

/** A recorder hangs in a headphone socket of a box on the way. */
const takesEars = (facts: Facts, chains: readonly Chain[]): boolean =>
  chains.some((chain) => chain.stages.some((stage) => isByEars(facts, chain, stage)));

/** Whether a part makes plug-in power for a microphone out of phantom. */
const feedsCapsules = ({ host, stagesNeed, ports }: Part): boolean =>
  !host && stagesNeed !== undefined && ports.some(({ bears }) => bears === 'plug-in-input');

/** Boxes that are sold to feed a clip-on microphone and that what plays, or amplifies already, hangs in: practice takes a DI box, or a lead. */
const fedForNothing = ({ rig }: Facts, chains: readonly Chain[]): number => {
  const boxes = chains.flatMap(({ source, stages: [, first] }) => {
    const [own, box] = [partOf(rig, source), first && partOf(rig, first.placed)];
    const wantsIt = own?.circuit.some(({ kind }) => kind === 'electret') ?? true;
    return !wantsIt && box !== undefined && first && feedsCapsules(box) ? [first.placed] : [];
  });
  return new Set(boxes).size;
};

/** Whether a part makes numbers of what comes to it, for whatever its port is in. */
const isSoundDevice = (part: Part | undefined): boolean =>
  part !== undefined && !part.host && (part.bus?.captures.length ?? 0) > 0;

/**
 * A box that could give numbers itself, and gives none, is heard by another sound device: practice takes the box by its own port, or one that
 * mixes and converts. What is there already (`given`) is taken as it can be.
 */
const isConvertedBehind = (facts: Facts, chains: readonly Chain[], given: string | undefined): boolean => {
  const converters = new Set(chains.map(({ stages }) => stages.at(-1)?.placed));
  const isIdle = (placed: string) => !converters.has(placed) && isSoundDevice(partOf(facts.rig, placed));
  return chains.some(
    ({ source, stages }) =>
      isSoundDevice(partOf(facts.rig, stages.at(-1)?.placed ?? '')) &&
      stages.some(
        ({ is, placed }) => is === 'input' && placed !== source && placed !== given && isIdle(placed),
      ),
  );
};

/** It hears by radio: two packs are one thing to whoever buys them. */
const isReceiver = (part: Part | undefined): boolean =>
  part?.ports.some(({ connector }) => connector === 'radio') ?? false;

/**
 * A box in which several sources join, and that is not there already, is heard by another sound device that is not what records: practice takes a
 * mixer that converts.
 */
const isMixedBehind = (facts: Facts, chains: readonly Chain[], given: string | undefined): boolean => {
  const mixed = new Map<string, Set<string>>();
  for (const { source, stages } of chains) {
    const last = stages.at(-1)?.placed ?? '';
    if (!isSoundDevice(partOf(facts.rig, last))) continue;
    const isMixer = (placed: string) =>
      placed !== last && placed !== given && !isReceiver(partOf(facts.rig, placed));
    const boxes = stages.filter(({ is, placed }) => is === 'input' && isMixer(placed));
    for (const { placed } of boxes) mixed.set(placed, (mixed.get(placed) ?? new Set()).add(source));
  }
  return [...mixed.values()].some(({ size }) => size > 1);
};

/** Whether something records numbers that come to a port of its, or is such a sound device. */
const takesNumbers = (part: Part | undefined): boolean =>
  isSoundDevice(part) || (part?.host?.busPorts.some(({ data }) => data) ?? false);

/** Whether several things come into a part by sockets of their own, as into a mixer or an interface, and no dongle. */
const takesSeveral = (part: Part | undefined): boolean =>
  (part?.ports ?? []).filter((port) => port.direction === 'in' && !isDigital(port)).length > 1;

/**
 * A mixer or interface takes one host. Where one plays into it by its port, another that could record its numbers hears it as a voltage: practice
 * lets it be the sound device of what records, and has what plays come by a lead.
 */
const isPlayedFirst = ({ rig, devices }: Facts, chains: readonly Chain[]): boolean =>
  chains.some(({ source, stages: [, box, ...more] }) => {
    const part = partOf(rig, box?.placed ?? '');
    const playsInto = devices.some(
      ({ host, placed, accepted }) => host === source && placed === box?.placed && accepted,
    );
    return (
      playsInto &&
      takesSeveral(part) &&
      isSoundDevice(part) &&
      takesNumbers(partOf(rig, more.at(-1)?.placed ?? ''))
    );
  });

/** What it weighs that copper or a socket stands where practice takes a box of another kind (common practice). `given`: a box that is there. */
export function roughnessOf(
  facts: Facts,
  { given, isHeaped = false }: Pick<Layout, 'given' | 'isHeaped'> = {},
): number {
  const chains = arrivalChains(facts);
  return (
    (isHeaped || joinsByCopper(facts, chains) ? HEAPED : 0) +
    (isInLine(facts, chains) || isLoadedDown(facts, chains) ? IN_LINE : 0) +
    (isSharedOut(facts.rig, chains) ? SHARED_OUT : 0) +
    (takesEars(facts, chains) ? EARS_TAKEN : 0) +
    (isConvertedBehind(facts, chains, given) ? CONVERTED_BEHIND : 0) +
    (isMixedBehind(facts, chains, given) ? MIXED_BEHIND : 0) +
    (isPlayedFirst(facts, chains) ? PLAYED_FIRST : 0) +
    FED_FOR_NOTHING * fedForNothing(facts, chains)
  );
}
