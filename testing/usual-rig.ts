import { readFileSync } from 'node:fs';
import { readRig } from '../src/core/files/read-rig';
import { outcomeOf } from '../src/core/judge';
import type { Rig } from '../src/core/rig';
import { cleaningEdits, searchFixes } from '../src/core/search/fixes';
import { wayOut, type Way } from '../src/core/search/way-out';

/** A rig of the shelf, by the name of its file. Throws where it is none. */
export function usual(file: string): Rig {
  const read = readRig(readFileSync(`demo/usual/${file}`, 'utf8'));
  if (!read.ok) throw new Error(file);
  return read.rig;
}

/** The way out as the page asks for it: the fixes first. */
export function wayBack(left: Rig): Way | undefined {
  const fixes = outcomeOf(left).findings.map((finding) => searchFixes(left, finding, {}));
  return wayOut(left, {}, { known: cleaningEdits(fixes) }).way;
}
