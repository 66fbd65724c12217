import { database } from './database';

/** Keeps a small value under a name, as JSON. */
export async function keepValue(key: string, value: unknown): Promise<void> {
  await database.meta.put({ key, value: JSON.stringify(value) });
}

/** The value kept under a name; undefined where there is none, or what is there is no JSON. */
export async function keptValue(key: string): Promise<unknown> {
  const found = await database.meta.get(key);
  if (!found) return undefined;
  try {
    return JSON.parse(found.value) as unknown;
  } catch {
    return undefined;
  }
}
