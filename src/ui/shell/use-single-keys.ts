'use client';
import { isBoolean, useKept } from '../shared/use-kept';

export const SINGLE_KEYS = 'single-keys';

/** Whether keys that are a single letter work (WCAG 2.2, 2.1.4: they can be turned off). */
export const useSingleKeys = (): boolean => useKept(SINGLE_KEYS, isBoolean, true);
