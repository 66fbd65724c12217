import { IDBFactory, IDBKeyRange } from 'fake-indexeddb';
import { readFileSync } from 'node:fs';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { checkRig } from '../core/files/read-rig';
import { database, STORE_VERSION, switchDatabase, SymplexDatabase } from './database';
import { openStore } from './open';
import { knownPolicies } from './policies';
import { addRig, redoRig, undoRig } from './rigs';
import { STARTER } from './starter';

/** Every table as the third version of this store wrote it, with the keys that it had. */
const OLD = JSON.parse(readFileSync('src/store/fixtures/version-3.json', 'utf8')) as {
  tables: Record<string, { id?: unknown; doc?: { name: string }; past?: unknown[]; future?: unknown[] }[]>;
};

const TABLES: Readonly<Record<string, IDBObjectStoreParameters>> = {
  rigs: { keyPath: 'id' },
  drawer: { keyPath: 'part' },
  meta: { keyPath: 'key' },
  policies: { keyPath: 'id', autoIncrement: true },
  ownParts: { keyPath: 'id' },
};

/** A store of another version, made by the bare interface of browsers. */
function storeOf(factory: IDBFactory, version: number, tables: Readonly<Record<string, unknown[]>>) {
  return new Promise<void>((resolve, reject) => {
    const asked = factory.open('symplex', version * 10);
    asked.onupgradeneeded = () => {
      for (const [name, options] of Object.entries(TABLES)) {
        const store = asked.result.createObjectStore(name, options);
        if (name === 'rigs') store.createIndex('updatedAt', 'updatedAt');
        if (name === 'policies') store.createIndex('app', 'app');
        for (const record of tables[name] ?? []) store.add(record);
      }
    };
    asked.onsuccess = () => {
      asked.result.close();
      resolve();
    };
    asked.onerror = () => reject(asked.error);
  });
}

let factory: IDBFactory;
beforeEach(() => {
  factory = new IDBFactory();
  vi.stubGlobal('indexedDB', factory);
  vi.stubGlobal('IDBKeyRange', IDBKeyRange);
  switchDatabase(new SymplexDatabase({ indexedDB: factory, IDBKeyRange }));
});
afterEach(() => {
  database.close();
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

describe('opening the store', () => {
  it('a new one is the browser’s own', async () => {
    expect(await openStore()).toEqual({});
    expect(database.verno).toBe(STORE_VERSION);
  });

  it('one of the version before comes over whole: every rig a rig, histories to be walked both ways', async () => {
    await storeOf(factory, 3, OLD.tables);
    expect(await openStore()).toEqual({});
    const rigs = await database.rigs.toArray();
    expect(rigs.map((rig) => rig.id).sort()).toEqual((OLD.tables['rigs'] ?? []).map((rig) => rig.id).sort());
    for (const { id, doc } of rigs) {
      expect([id, checkRig(doc).ok]).toEqual([id, true]);
      const before = OLD.tables['rigs']?.find((rig) => rig.id === id);
      expect(doc).toEqual(before?.doc);
    }
    const before = OLD.tables['rigs']?.find((rig) => rig.id === 'slipway-diary');
    expect([before?.past?.length, before?.future?.length]).toEqual([2, 1]);
    const shown = async () => (await database.rigs.get('slipway-diary'))?.doc;
    await redoRig('slipway-diary');
    expect(await shown()).toEqual(before?.future?.[0]);
    await undoRig('slipway-diary');
    await undoRig('slipway-diary');
    await undoRig('slipway-diary');
    expect(await shown()).toEqual(before?.past?.[0]);
    await undoRig('slipway-diary');
    expect(await shown()).toEqual(before?.past?.[0]);
    expect(await database.drawer.get('lead-rca')).toMatchObject({
      count: 4,
      label: 'red and white',
      paid: 4,
    });
    expect(await knownPolicies()).toHaveLength(1);
    expect(await database.ownParts.count()).toBe(1);
  });

  it('records of no such form come over untouched', async () => {
    await storeOf(factory, 3, {
      rigs: [
        { id: 'a', doc: null },
        { id: 'b', past: 3, doc: { name: 7 } },
      ],
    });
    expect(await openStore()).toEqual({});
    expect(await database.rigs.toArray()).toEqual([
      { id: 'a', doc: null },
      { id: 'b', past: 3, doc: { name: 7 } },
    ]);
  });

  it('one of a newer version is neither written nor changed, and the page works in memory', async () => {
    await storeOf(factory, STORE_VERSION + 5, { rigs: [{ id: 'theirs', doc: { name: 'Theirs' } }] });
    expect(await openStore()).toEqual({ without: 'newer', detail: String(STORE_VERSION + 5) });
    expect(await addRig(STARTER)).toBe('new-rig');
    expect(await database.rigs.count()).toBe(1);
    const [found] = await factory.databases();
    expect(found?.version).toBe((STORE_VERSION + 5) * 10);
  });

  it('no storage at all, and one that throws, are told apart', async () => {
    vi.stubGlobal('indexedDB', undefined);
    expect(await openStore()).toEqual({ without: 'absent' });
    expect(await addRig(STARTER)).toBe('new-rig');
    const refusing = {
      open: () => {
        throw new DOMException('not here', 'SecurityError');
      },
    };
    vi.stubGlobal('indexedDB', refusing);
    expect(await openStore()).toEqual({ without: 'refused', detail: 'not here' });
  });

  it('one that never answers is given up', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout'] });
    vi.stubGlobal('indexedDB', { open: () => ({}) });
    const opened = openStore();
    await vi.advanceTimersByTimeAsync(6000);
    vi.useRealTimers();
    expect(await opened).toEqual({ without: 'silent' });
  });
});
