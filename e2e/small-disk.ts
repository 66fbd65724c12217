import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** A small file system of its own, to be filled; undefined where none can be made here. */
export function smallDisk(): string | undefined {
  const path = mkdtempSync(join(tmpdir(), 'symplex-disk-'));
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=192m', 'tmpfs', path], { stdio: 'ignore' });
    return path;
  } catch {
    return undefined;
  }
}

const ballast = (disk: string): string => join(disk, 'ballast');

/** Fills it to the last block but for so many bytes. */
export function fillDisk(disk: string, left = 0): void {
  const { bavail, bsize } = statfsSync(disk);
  try {
    writeFileSync(ballast(disk), Buffer.alloc(Math.max(0, bavail * bsize - left)));
  } catch {
    // Something else took the last block: so much the fuller.
  }
}

export const freeDisk = (disk: string): void => rmSync(ballast(disk));

export const unmount = (disk: string): void => void execFileSync('umount', ['-l', disk], { stdio: 'ignore' });
