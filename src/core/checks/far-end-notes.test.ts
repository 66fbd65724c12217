import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readRig } from '../files/read-rig';
import { analyse } from '../judge';
import { applyEdit, type Rig } from '../rig';

const usual = (name: string): Rig => {
  const read = readRig(readFileSync(`demo/usual/${name}.json`, 'utf8'));
  if (!read.ok) throw new Error(name);
  return read.rig;
};
const found = (rig: Rig, code: string) => analyse(rig).findings.filter((f) => f.code === code);

// Two callers on headset jacks come back into a desk whose mix a recorder takes.
describe('what is worth knowing of a far end (common practice)', () => {
  const rig = usual('two-callers');
  it('a recorder that hears callers: ask them first, one note for all', () => {
    expect(found(rig, 'records-callers')).toMatchObject([
      { severity: 'note', recorder: 'recorder', sources: ['phone-a', 'phone-b'] },
    ]);
    expect(analyse(rig).verdict).toBe('clean');
  });
  it('without the recorder nobody is recorded', () => {
    const live = applyEdit(rig, { kind: 'remove', part: 'recorder' });
    expect(found(live, 'records-callers')).toEqual([]);
  });
  it('out of a headset jack into the desk the volume keys of each set the level', () => {
    const notes = found(rig, 'volume-sets-level');
    expect(notes.map(({ recorder, other }) => [recorder, other])).toEqual([
      ['phone-a', 'mixer'],
      ['phone-b', 'mixer'],
    ]);
  });
  it('by USB, or into ears alone, they do not', () => {
    expect(found(usual('table-talk'), 'volume-sets-level')).toEqual([]);
    expect(found(usual('pack-call-guests'), 'volume-sets-level')).toEqual([]);
  });
});
