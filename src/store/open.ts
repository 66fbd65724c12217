import Dexie from 'dexie';
import { database, STORE_NAME, STORE_VERSION, switchDatabase, SymplexDatabase } from './database';

/** Why the browser's storage is not used: it has none, forbids it, does not answer, or a newer Symplex has written there. */
export type NoStorage = 'absent' | 'refused' | 'silent' | 'newer' | 'broken';

export interface StoreState {
  /** Absent: everything is kept in the browser. */
  readonly without?: NoStorage;
  readonly detail?: string;
}

/** A storage that has not answered by then is taken to be dead, ms. */
const ANSWERS_WITHIN = 5000;

/** Dexie's versions are a tenth of IndexedDB's. */
const NATIVE = 10;

const said = (error: unknown): string => (error instanceof Error ? error.message : String(error));

/** Looks at what is stored, without a version of our own: a newer store must not even be opened for writing. */
function probe(factory: IDBFactory | undefined): Promise<StoreState> {
  if (!factory) return Promise.resolve({ without: 'absent' });
  return new Promise((resolve) => {
    setTimeout(() => resolve({ without: 'silent' }), ANSWERS_WITHIN);
    try {
      const asked = factory.open(STORE_NAME);
      asked.onupgradeneeded = () => asked.transaction?.abort();
      asked.onsuccess = () => {
        const { version } = asked.result;
        asked.result.close();
        resolve(
          version > STORE_VERSION * NATIVE ? { without: 'newer', detail: String(version / NATIVE) } : {},
        );
      };
      asked.onerror = (event) => {
        event.preventDefault();
        // What we broke off ourselves: there was nothing stored yet.
        const name = asked.error?.name;
        resolve(name === 'AbortError' ? {} : { without: 'refused', detail: said(asked.error) });
      };
    } catch (error) {
      resolve({ without: 'refused', detail: said(error) });
    }
  });
}

/** A store that lasts as long as the page. */
async function inMemory(): Promise<SymplexDatabase> {
  const { IDBFactory, IDBKeyRange } = await import('fake-indexeddb');
  // Live queries ask for a factory of the whole page and do nothing where there is none.
  Dexie.dependencies.indexedDB = new IDBFactory();
  Dexie.dependencies.IDBKeyRange = IDBKeyRange;
  return new SymplexDatabase();
}

const factoryOf = (): IDBFactory | undefined => {
  try {
    return globalThis.indexedDB;
  } catch {
    return undefined;
  }
};

const within = <T>(work: Promise<T>, ms: number): Promise<T | 'late'> =>
  Promise.race([work, new Promise<'late'>((resolve) => setTimeout(() => resolve('late'), ms))]);

/**
 * Opens the browser's storage, or says why not and goes on in memory. Never throws, and never waits longer than twice
 * `ANSWERS_WITHIN`.
 */
export async function openStore(): Promise<StoreState> {
  const found = await probe(factoryOf());
  let state: StoreState = found;
  if (found.without === undefined) {
    const kept = database;
    const opened = await within(
      kept.open().then(
        () => undefined,
        (error: unknown): StoreState => ({ without: 'broken', detail: said(error) }),
      ),
      ANSWERS_WITHIN,
    );
    state = opened === 'late' ? { without: 'silent' } : (opened ?? {});
    if (state.without) kept.close({ disableAutoOpen: true });
  }
  if (state.without) switchDatabase(await inMemory());
  return state;
}
