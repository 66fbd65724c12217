import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readRig } from '../core/files/read-rig';
import { outcomeOf } from '../core/judge';
import { portOf } from '../core/rig';
import { usualRigs } from './usual';

const names = readdirSync('demo/usual').sort();

describe('the shelf of usual rigs', () => {
  it('has two dozen and more, and the page offers all of them', () => {
    expect(names.length).toBeGreaterThanOrEqual(24);
    expect(usualRigs().map(({ id }) => `${id}.json`)).toEqual(names);
    expect(new Set(usualRigs().map(({ name }) => name)).size).toBe(names.length);
  });

  it.each(names)('%s is a rig with a story, and clean', (name) => {
    const result = readRig(readFileSync(`demo/usual/${name}`, 'utf8'));
    if (!result.ok) throw new Error(result.problem.code);
    const { rig } = result;
    expect(rig.note?.length).toBeGreaterThan(10);
    const { verdict, arrives, findings } = outcomeOf(rig);
    expect(verdict).toBe('clean');
    expect(findings.filter(({ severity }) => severity !== 'note')).toEqual([]);
    expect(arrives).toHaveLength(rig.purpose.sources.length * rig.purpose.recorders.length);
    // Nobody plugs an output into an output: a pad the wrong way round takes nothing off.
    const opposed = rig.joints.filter(({ plug, jack }) => {
      const [one, other] = [plug, jack].map((end) => portOf(rig, end)?.direction);
      return one === other && (one === 'out' || one === 'in');
    });
    expect(opposed).toEqual([]);
  });
});
