import type { Contact } from '../plugs';

/** Worst first: hurts someone or something · stops the recording · spoils it · worth knowing. */
export const SEVERITIES = ['danger', 'blocks', 'spoils', 'note'] as const;
export type Severity = (typeof SEVERITIES)[number];

export type UnitName = 'V' | 'mA' | 'ohm' | 'dB' | 'dBFS' | 'dBV' | 'm' | 'B' | 'Hz' | 'min' | 'ms' | '';

/** A measured value: what the engine computed, under the name that the sentence uses. */
export interface Measured {
  readonly name: string;
  readonly value: number;
  readonly unit: UnitName;
}

/** The limit that the first measured value is held against. `to`: a typical limit reaches from `value` to there. */
export interface Limit {
  readonly value: number;
  readonly to?: number;
  readonly unit: UnitName;
  readonly is: 'at least' | 'at most';
}

/** Where a limit comes from. */
export interface Origin {
  readonly kind: 'standard' | 'common practice' | 'typical' | 'computed' | 'our own';
  readonly text: string;
}

export interface Place {
  readonly joint?: string;
  readonly part?: string;
  /** A socket of `part`. */
  readonly port?: string;
  readonly plug?: readonly Contact[];
  readonly jack?: readonly Contact[];
}

/** A finding is data; sentences are made from it in words/. Its code is that of the check that found it. */
export interface Finding {
  readonly code: string;
  readonly severity: Severity;
  readonly where: Place;
  /** Placed parts that the sentence needs; `sources`: all that it stops, where there are several. */
  readonly source?: string;
  readonly sources?: readonly string[];
  readonly recorder?: string;
  readonly other?: string;
  /** It holds of `recorder` and `other` the other way round, too. */
  readonly mutual?: boolean;
  /** Somebody in the room, by their id in the rig. */
  readonly person?: string;
  /** A switch of `where.part`, or a choice in its app, on which it hangs. */
  readonly setting?: string;
  readonly values: readonly Measured[];
  readonly limit?: Limit;
  readonly origin: Origin;
  /** The key of the finding of which this one is a consequence: it goes when that one is cured. */
  readonly because?: string;
}

/** Same code at the same place and switch about the same recorder: the same trouble, whatever its measured values and sources. */
export const findingKey = (f: Finding): string =>
  [
    f.code,
    f.where.joint ?? '',
    f.where.part ?? '',
    f.where.port ?? '',
    f.recorder ?? '',
    f.other ?? '',
    f.setting ?? '',
    f.person ?? '',
  ].join('|');

/** Every source that a finding speaks of. */
export const sourcesOf = ({ source, sources }: Finding): readonly string[] =>
  sources ?? (source === undefined ? [] : [source]);

/** Another switch than the one that is meant is another trouble: of two that are off, one is on again. */
const isOfOneSwitch = (a: Finding, b: Finding): boolean =>
  a.setting === b.setting && (a.setting === undefined || a.where.part === b.where.part);

/** The same trouble at another place: of the same source at the same recorder. */
export const isLike = (a: Finding, b: Finding): boolean =>
  a.code === b.code &&
  a.recorder === b.recorder &&
  isOfOneSwitch(a, b) &&
  (sourcesOf(b).length === 0 || sourcesOf(a).some((source) => sourcesOf(b).includes(source)));

/** The same trouble: at the same place, or of the same source where plugs have moved. */
export const isSameTrouble = (a: Finding, b: Finding): boolean =>
  findingKey(a) === findingKey(b) || (sourcesOf(b).length > 0 && isLike(a, b));

/** Whether the same trouble is among what is found. */
export const isAmong = (found: readonly Finding[], one: Finding): boolean =>
  found.some((f) => isSameTrouble(f, one));

/** What is told of two both ways, as one trouble each way; any other finding as it is. */
export function facesOf(finding: Finding): readonly Finding[] {
  const { mutual, ...one } = finding;
  if (mutual !== true || one.other === undefined) return [finding];
  const turned = { ...one, where: { part: one.other }, recorder: one.other };
  return [one, one.recorder === undefined ? turned : { ...turned, other: one.recorder }];
}

export const severityRank = (severity: Severity): number => SEVERITIES.indexOf(severity);
