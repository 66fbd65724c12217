import type { Facts } from '../facts';
import { magnitude, nodeKey, solveAlternating, type AlternatingSolution } from '../circuit';
import type { Part } from '../../parts';
import { jointsOf } from '../../rig';
import { dbFs, gainToDb, hertz, powerSumDb, type DbFs, type Decibels } from '../../units';
import { mainsHertz, onMains, type OnMains } from './mains';
import { chargingFeeds, earthNetwork, type EarthNetwork, type EarthSource } from './network';
import { WHINE_HERTZ, type Drive } from './sources';

/** A level that is typical, with how far it spreads. */
export interface Level {
  readonly typical: DbFs;
  readonly least: DbFs;
  readonly most: DbFs;
}

/** What one source brings to an input. */
export interface HumShare {
  readonly why: EarthSource['why'];
  readonly where: string;
  readonly typical: DbFs;
}

/** Hum (the mains and its harmonics) and whine at one channel of an input. */
export interface Hum {
  readonly host: string;
  /** The part in which it is converted, and its input and channel. */
  readonly placed: string;
  readonly capture: string;
  readonly channel: number;
  readonly hum: Level;
  readonly whine: Level;
  /** Loudest first. */
  readonly shares: readonly HumShare[];
}

/** The same in a pair of earpieces or a loudspeaker, RMS dBV, at the louder side. */
export interface EarHum {
  readonly listener: string;
  readonly hum: Level;
  readonly whine: Level;
  /** Loudest first. */
  readonly shares: readonly HumShare[];
}

export interface EarthFacts {
  readonly mains: readonly OnMains[];
  /** Absent where nothing can hum: at most one thing is on the mains. */
  readonly network?: EarthNetwork;
  readonly hums: readonly Hum[];
  readonly ears: readonly EarHum[];
  readonly hertz: number;
}

const SILENT = dbFs(-Infinity);

/** Lines of a drive with their levels re its typical figure; whine has one. */
const linesOf = ({ lines }: Drive, mains: number): readonly (readonly [hertz: number, decibels: number])[] =>
  lines === 'whine' ? [[WHINE_HERTZ, 0]] : lines.map(([n, decibels]) => [n * mains, decibels] as const);

interface Shared {
  readonly source: EarthSource;
  readonly level: number;
}

const sum = (levels: readonly number[]): DbFs =>
  levels.length === 0 ? SILENT : dbFs(powerSumDb(levels.map(dbFs)));

/** Uncorrelated sources add by power; each is as strong as it usually, least or most is. */
function levelOf(shares: readonly Shared[]): Level {
  const shifted = (which: 'least' | 'most') =>
    sum(shares.map(({ source: { drive }, level }) => level + gainToDb(drive[which] / drive.typical)));
  return { typical: sum(shares.map(({ level }) => level)), least: shifted('least'), most: shifted('most') };
}

/** With one thing on the mains there is no way round, but where something is charged, and the thing both charges and is listened to. */
const isQuiet = (facts: Facts, mains: readonly OnMains[]): boolean =>
  mains.every((one) => mains.length < 2 && jointsOf(facts.rig, one.laid.placed.id).length < 2) ||
  (mains.length < 2 && chargingFeeds(facts).length === 0);

class Solver {
  private readonly solutions = new Map<number, AlternatingSolution>();

  constructor(
    private readonly facts: Facts,
    private readonly network: EarthNetwork,
  ) {}

  private at(frequency: number): AlternatingSolution {
    const known =
      this.solutions.get(frequency) ??
      solveAlternating(this.network.circuit, this.facts.netlist.paths, hertz(frequency), () => true);
    this.solutions.set(frequency, known);
    return known;
  }

  /** What a source brings between two nodes, volts RMS as usual, at one frequency. */
  volts(
    { id, drive, scale }: EarthSource,
    frequency: number,
    decibels: number,
    ends: readonly [string, string],
  ) {
    const [plus, minus] = ends.map((node) => this.network.nets.of(node));
    const gain = this.at(frequency).gain(id, plus, minus);
    return gain ? magnitude(gain) * drive.typical * scale * 10 ** (decibels / 20) : 0;
  }
}

/** What each source brings between two nodes, dBV; those that bring nothing left out. */
function broughtTo(
  { sources }: EarthNetwork,
  solver: Solver,
  mains: number,
  ends: readonly [string, string],
): Shared[] {
  const shares = sources.map((source): Shared => {
    const levels = linesOf(source.drive, mains).map(([frequency, decibels]) => {
      const volts = solver.volts(source, frequency, decibels, ends);
      return volts > 0 ? gainToDb(volts) : -Infinity;
    });
    return { source, level: sum(levels) };
  });
  return shares.filter(({ level }) => level > -Infinity);
}

const sharesOf = (shares: readonly Shared[]): HumShare[] =>
  shares
    .map(({ source, level }) => ({ why: source.why, where: source.where, typical: dbFs(level) }))
    .sort((a, b) => b.typical - a.typical);

const isWhine = ({ source }: Shared): boolean => source.drive.lines === 'whine';

/** Between which contacts somebody listens: earpieces, or what a loudspeaker amplifies. */
export const listensAt = ({ ears, speaker }: Part): readonly { plus: string; minus: string }[] => [
  ...(ears ?? []),
  ...(speaker ? [speaker] : []),
];

/** The louder side of each pair of earpieces, and every loudspeaker. */
function earsOf(facts: Facts, network: EarthNetwork, solver: Solver, mains: number): EarHum[] {
  return [...facts.laid.values()].flatMap(({ placed, part }) => {
    const sides = listensAt(part).map(({ plus, minus }) =>
      broughtTo(network, solver, mains, [nodeKey(placed.id, plus), nodeKey(placed.id, minus)]),
    );
    const heard = sides
      .filter((shares) => shares.length > 0)
      .map((shares) => ({
        listener: placed.id,
        hum: levelOf(shares.filter((s) => !isWhine(s))),
        whine: levelOf(shares.filter(isWhine)),
        shares: sharesOf(shares),
      }));
    return heard.sort((a, b) => worstOf(b, 'typical') - worstOf(a, 'typical')).slice(0, 1);
  });
}

function humAt(
  network: EarthNetwork,
  solver: Solver,
  mains: number,
  input: Facts['inputs'][number],
  index: number,
): Hum | undefined {
  const [spec, channel] = [input.capture.channels[index], input.channels[index]];
  if (!spec || !channel) return undefined;
  const ends = [nodeKey(input.placed, spec.plus), nodeKey(input.placed, spec.minus)] as const;
  const audible = broughtTo(network, solver, mains, ends).map(({ source, level }) => ({
    source,
    level: level - channel.fullScale,
  }));
  return {
    host: input.host,
    placed: input.placed,
    capture: input.capture.id,
    channel: index,
    hum: levelOf(audible.filter((s) => !isWhine(s))),
    whine: levelOf(audible.filter(isWhine)),
    shares: sharesOf(audible),
  };
}

const known = new WeakMap<Facts, EarthFacts>();

/** Hum and whine at every input in use; worked out when first asked for. */
export function earthFacts(facts: Facts): EarthFacts {
  const found = known.get(facts);
  if (found) return found;
  const mains = onMains(facts.laid);
  const hertz = mainsHertz(facts.rig);
  const inUse = isQuiet(facts, mains) ? [] : facts.inputs.filter(({ plugged }) => plugged);
  const made: EarthFacts =
    inUse.length === 0
      ? { mains, hums: [], ears: [], hertz }
      : { mains, hertz, ...solved(facts, mains, inUse) };
  known.set(facts, made);
  return made;
}

function solved(facts: Facts, mains: readonly OnMains[], inputs: Facts['inputs']) {
  const network = earthNetwork(facts, mains);
  const solver = new Solver(facts, network);
  const hertz = mainsHertz(facts.rig);
  const hums = inputs.flatMap((input) =>
    input.channels.flatMap((_, index) => humAt(network, solver, hertz, input, index) ?? []),
  );
  return { network, hums, ears: earsOf(facts, network, solver, hertz) };
}

/** The louder of hum and whine, dBFS. */
export const worstOf = ({ hum, whine }: Pick<Hum, 'hum' | 'whine'>, which: keyof Level): DbFs =>
  dbFs(Math.max(hum[which], whine[which]));

/** Hum that lies so far under the voice, dB, is not heard beside it: common practice; the figure is our own. */
export const UNDER_SPEECH: Decibels = 50 as Decibels;
