import { open, stat } from 'node:fs/promises';
import { LARGEST_RIG_BYTES, sayProblem } from '../core/files';
import { readDrawerCsv } from '../core/files/drawer-csv';
import { readRequest } from '../core/files/read-request';
import { readRig } from '../core/files/read-rig';
import { sayWarning, type ReadWarning } from '../core/files/warnings';
import { findPart } from '../core/parts';
import type { Rig } from '../core/rig';
import { quoteValue } from '../core/schema';
import type { Drawer } from '../core/search/drawer';
import { sayRequestProblem, type RouteRequest } from '../core/search/route';
import { BadInput, causeOf } from './trouble';

/** A document, and what was passed over or put right in it. */
export interface Read<T> {
  readonly read: T;
  readonly warnings: readonly ReadWarning[];
}

const tooLarge = (bytes: number): BadInput =>
  new BadInput(sayProblem({ code: 'too-large', at: '', bytes, limit: LARGEST_RIG_BYTES }));

async function all(from: AsyncIterable<Buffer | string>): Promise<string> {
  const pieces: Buffer[] = [];
  let bytes = 0;
  for await (const piece of from) {
    const buffer = Buffer.from(piece);
    bytes += buffer.length;
    if (bytes > LARGEST_RIG_BYTES) throw tooLarge(bytes);
    pieces.push(buffer);
  }
  const text = Buffer.concat(pieces);
  if (text.includes(0)) throw new BadInput('is no text: it holds bytes of zero');
  return text.toString('utf8');
}

/** Refuses what is neither a file nor a pipe: a folder, a device. Throws `BadInput`. */
export async function refuseOddFile(path: string): Promise<void> {
  const found = await stat(path).catch((error: unknown) => {
    throw new BadInput(`cannot be read: ${causeOf(error)}`);
  });
  if (found.isDirectory()) throw new BadInput('is a folder, not a file');
  if (!found.isFile() && !found.isFIFO()) throw new BadInput('is a device, not a file');
}

/** The text of a file, or of standard input for `-`. Throws `BadInput`. */
export async function readText(path: string): Promise<string> {
  if (path === '-') return all(process.stdin);
  await refuseOddFile(path);
  const file = await open(path).catch((error: unknown) => {
    throw new BadInput(`cannot be read: ${causeOf(error)}`);
  });
  try {
    const { size } = await file.stat();
    if (size > LARGEST_RIG_BYTES) throw tooLarge(size);
    return await all(file.createReadStream({ autoClose: false }));
  } finally {
    await file.close();
  }
}

/** What was passed over goes to standard error, a line each. */
function tell(path: string, warnings: readonly ReadWarning[]): void {
  for (const warning of warnings) console.error(`symplex: ${path}: warning: ${sayWarning(warning)}`);
}

export async function loadRig(path: string): Promise<Read<Rig>> {
  const result = readRig(await readText(path));
  if (!result.ok) throw new BadInput(sayProblem(result.problem));
  tell(path, result.warnings);
  return { read: result.rig, warnings: result.warnings };
}

/** A rig beside the first file: what is wrong with it is told under its own name, such as the option and the file. */
export const rigOf = (named: string, path: string): Promise<Rig> =>
  loadRig(path).then(
    ({ read }) => read,
    (error: unknown) => {
      throw error instanceof BadInput ? new BadInput(`${named}: ${error.message}`) : error;
    },
  );

export async function loadRequest(path: string): Promise<Read<RouteRequest>> {
  const result = readRequest(await readText(path));
  if (!result.ok) throw new BadInput(sayRequestProblem(result.problem));
  tell(path, result.warnings);
  return { read: result.request, warnings: result.warnings };
}

interface DrawerFile {
  readonly items?: readonly { readonly part?: unknown; readonly count?: unknown }[];
}

function drawerOfJson(text: string): Drawer {
  const { items } = JSON.parse(text) as DrawerFile;
  if (!Array.isArray(items)) throw new BadInput('has no list of items');
  return Object.fromEntries(
    items.map(({ part, count }, index) => {
      if (typeof part !== 'string' || typeof count !== 'number' || !Number.isInteger(count) || count < 0)
        throw new BadInput(`/items/${index} is ${quoteValue(items[index])}; it must have a part and a count`);
      return [part, count];
    }),
  );
}

/** How many of each part are owned: a drawer as JSON or CSV. Throws `BadInput` with the option and the file. */
export async function loadDrawer(path: string): Promise<Drawer> {
  try {
    const text = await readText(path);
    if (text.trimStart().startsWith('{')) return drawerOfJson(text);
    const result = readDrawerCsv(text, (part) => findPart(part) !== undefined);
    if (!result.ok) throw new BadInput(result.says);
    return Object.fromEntries(result.rows.map(({ part, count }) => [part, count]));
  } catch (error) {
    if (error instanceof BadInput || error instanceof SyntaxError)
      throw new BadInput(`--drawer ${path}: ${error.message}`);
    throw error;
  }
}
