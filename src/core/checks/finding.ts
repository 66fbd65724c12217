import type { Contact } from '../plugs';

/** Worst first: hurts someone or something · stops the recording · spoils it · worth knowing. */
export const SEVERITIES = ['danger', 'blocks', 'spoils', 'note'] as const;
export type Severity = (typeof SEVERITIES)[number];

export const FINDING_CODES = [
  'nothing-intended',
  'voltage-harms',
  'does-not-fit',
  'no-path',
  'usb-no-data',
  'no-analogue-mode',
  'accessory-unauthenticated',
  'starved',
  'usb-too-deep',
  'isochronous-exceeded',
  'brown-out',
  'usb-lead-long',
  'two-sound-devices',
  'not-noticed',
  'app-does-not-take',
  'own-microphone-chosen',
  'page-not-reloaded',
  'switched-off',
  'part-unpowered',
  'wrong-input-number',
  'track-not-armed',
  'contacts-swapped',
  'mic-line-shorted',
  'mic-line-loaded',
  'mic-contact-open',
  'capsule-unpowered',
  'output-into-output',
  'too-quiet',
  'cancels-in-mono',
  'one-side-only',
  'shares-track',
  'clips',
  'stage-clips',
  'playback-returns',
  'guests-not-heard',
  'playback-moved',
  'monitor-off',
  'uncertain-contact',
] as const;
export type FindingCode = (typeof FINDING_CODES)[number];

export type UnitName = 'V' | 'mA' | 'ohm' | 'dB' | 'dBFS' | 'dBV' | 'm' | 'B' | '';

/** A measured value: what the engine computed, under the name that the sentence uses. */
export interface Measured {
  readonly name: string;
  readonly value: number;
  readonly unit: UnitName;
}

/** The limit that the first measured value is held against. */
export interface Limit {
  readonly value: number;
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
  readonly plug?: readonly Contact[];
  readonly jack?: readonly Contact[];
}

/** A finding is data; sentences are made from it in report/. */
export interface Finding {
  readonly code: FindingCode;
  readonly severity: Severity;
  readonly where: Place;
  /** Placed parts that the sentence needs. */
  readonly source?: string;
  readonly recorder?: string;
  readonly other?: string;
  /** A switch of `where.part`, or a choice in its app, on which it hangs. */
  readonly setting?: string;
  readonly values: readonly Measured[];
  readonly limit?: Limit;
  readonly origin: Origin;
}

/** Same code at the same place about the same parts: the same trouble, whatever its measured values. */
export const findingKey = (f: Finding): string =>
  [f.code, f.where.joint ?? '', f.where.part ?? '', f.source ?? '', f.recorder ?? ''].join('|');

export const severityRank = (severity: Severity): number => SEVERITIES.indexOf(severity);
