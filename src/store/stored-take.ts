import type { TakeRecord } from './records';
import { isObject, isText, oneOf } from './stored';

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
