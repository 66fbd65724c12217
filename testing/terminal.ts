import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** A folder of one test file's own. */
export const folder = mkdtempSync(join(tmpdir(), 'symplex-cli-'));

/** A file in it; gives back its path. */
export function file(name: string, text: string): string {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
}

/** The command, as a user runs it. */
export const symplex = (...args: string[]) => spawnSync('./symplex', args, { encoding: 'utf8' });
