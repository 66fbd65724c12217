'use client';
import Dexie from 'dexie';
import { useLiveQuery } from 'dexie-react-hooks';
import { database } from '../../store/database';
import type { RigRecord } from '../../store/records';

/** Every stored rig that is whole, documents and all; what was damaged is left where it is. */
export const useWholeRigs = (): RigRecord[] | undefined =>
  useLiveQuery(async () => {
    const { checkRig } = await Dexie.waitFor(import('../../core/files/read-rig'));
    return (await database.rigs.toArray()).filter(({ doc }) => checkRig(doc).ok);
  });
