import { findApp, EVIDENCE_KINDS, WAYS } from '../core/apps';
import { type Part } from '../core/parts';
import type { PolicyNote } from '../core/rig';
import { CONDITIONS } from './conditions';
import type { DrawerItem, TakeRecord } from './records';

/** What stands in the browser's storage may be damaged: these say what can be worked with. Whole documents are checked in the worker. */

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const isText = (value: unknown): boolean => value === undefined || typeof value === 'string';
const oneOf = (list: readonly string[], value: unknown): boolean =>
  typeof value === 'string' && list.includes(value);

/** The most of one thing that a drawer counts. */
export const MOST_OF_A_PART = 999;

const isLengths = (value: unknown): boolean =>
  Array.isArray(value) && value.every((metres) => typeof metres === 'number' && metres > 0 && metres <= 500);

export const isItem = (value: unknown): value is DrawerItem =>
  isObject(value) &&
  typeof value['part'] === 'string' &&
  Number.isInteger(value['count']) &&
  Number(value['count']) > 0 &&
  Number(value['count']) <= MOST_OF_A_PART &&
  (value['condition'] === undefined || oneOf(CONDITIONS, value['condition'])) &&
  isText(value['label']) &&
  isText(value['note']) &&
  (value['paid'] === undefined || Number.isFinite(value['paid'])) &&
  (value['lengths'] === undefined || isLengths(value['lengths']));

export const isPolicy = (value: unknown): value is PolicyNote =>
  isObject(value) &&
  typeof value['app'] === 'string' &&
  findApp(value['app']) !== undefined &&
  isText(value['host']) &&
  oneOf(WAYS, value['way']) &&
  typeof value['takes'] === 'boolean' &&
  oneOf(EVIDENCE_KINDS, value['kind']) &&
  /^\d{4}-\d{2}-\d{2}$/.test(String(value['date'])) &&
  isText(value['note']);

/** Has the outward form of a part; what is in it the worker checks. */
export const isPart = (value: unknown): value is Part =>
  isObject(value) &&
  typeof value['id'] === 'string' &&
  typeof value['name'] === 'string' &&
  typeof value['summary'] === 'string' &&
  Array.isArray(value['ports']) &&
  Array.isArray(value['circuit']);

const ORIGINS: readonly TakeRecord['origin'][] = ['recorded', 'file', 'stand-in', 'example'];
const isCount = (value: unknown): boolean =>
  typeof value === 'number' && Number.isFinite(value) && value >= 0;

/** Has the outward form of what is measured of a take. */
const isMeasured = (value: unknown): boolean =>
  isObject(value) &&
  ['levels', 'pauses', 'dropouts', 'clicks', 'thumps', 'windows', 'truePeakDbtp'].every((key) =>
    Array.isArray(value[key]),
  ) &&
  ['loudness', 'image', 'spectrum'].every((key) => isObject(value[key])) &&
  ['sampleRate', 'channels', 'durationSeconds'].every((key) => isCount(value[key]));

const isStretch = (value: unknown): boolean =>
  isObject(value) && typeof value['asked'] === 'string' && isCount(value['from']) && isCount(value['to']);

export const isTake = (value: unknown): value is TakeRecord =>
  isObject(value) &&
  ['id', 'name'].every((key) => typeof value[key] === 'string') &&
  ['at', 'bytes'].every((key) => isCount(value[key])) &&
  ['sampleRate', 'channels'].every((key) => isCount(value[key]) && Number(value[key]) > 0) &&
  oneOf(ORIGINS, value['origin']) &&
  [value['rig'], (value as Partial<TakeRecord>).recorder].every(isText) &&
  (value['measures'] === undefined || isMeasured(value['measures'])) &&
  (value['stretches'] === undefined ||
    (Array.isArray(value['stretches']) && value['stretches'].every(isStretch)));
