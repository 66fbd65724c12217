'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import type { PolicyNote } from '../../core/rig';
import { knownPolicies } from '../../store/policies';

const NONE: readonly PolicyNote[] = [];

/** What the user knows of apps. */
export const usePolicies = (): readonly PolicyNote[] => useLiveQuery(knownPolicies) ?? NONE;
