import { findApp, EVIDENCE_KINDS, WAYS } from '../core/apps';
import { type Part } from '../core/parts';
import type { PolicyNote } from '../core/rig';
import { CONDITIONS } from './conditions';
import type { DrawerItem } from './records';

/** What stands in the browser's storage may be damaged: these say what can be worked with. Whole documents are checked in the worker. */

export const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

export const isText = (value: unknown): boolean => value === undefined || typeof value === 'string';
export const oneOf = (list: readonly string[], value: unknown): boolean =>
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
