import { describe, expect, it } from 'vitest';
import type { FindingCode } from '../src/core/checks';
import { judge, tuned } from './judge';
import type { RigSketch } from './lay-rig';

/** A rig with one fault of the trade, and the same rig without it. */
export interface Twins {
  readonly name: string;
  readonly code: FindingCode;
  readonly state?: string;
  readonly faulty: RigSketch;
  readonly clean: RigSketch;
}

/** The fault is named on the one, and nothing but notes is said of the other, its knobs set by the meters. */
export const testTwins = (groups: readonly Twins[]) =>
  describe.each(groups.map((twins) => [twins.name, twins] as const))('%s', (_, twins) => {
    it(`is named: ${twins.code}`, () => {
      const found = judge(twins.faulty);
      expect(found.codes).toContain(twins.code);
      expect(found.verdict).not.toBe('clean');
      if (twins.state) expect(found.state).toBe(twins.state);
    });
    it('raises no alarm on the twin without it', () => {
      const found = judge(twins.clean, tuned);
      expect(found.findings.filter((f) => f.severity !== 'note').map((f) => f.code)).toEqual([]);
      expect(found).toMatchObject({ verdict: 'clean', state: 'recorded' });
    });
  });
