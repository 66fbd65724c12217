import { beforeAll, describe, expect, it } from 'vitest';
import { studyClean, studyFaults } from './study';
import { voice } from './voice';

/** The whole table is `docs/sound-check.md`, made by scripts/takes-study.ts; here a part of it must stand. */
describe('faults put on speech by espeak-ng', () => {
  let voices: Float32Array[] = [];
  beforeAll(() => {
    voices = [0, 1, 2, 3, 5, 7].map(voice);
  });
  it('at clear strength none is missed', { timeout: 120_000 }, () => {
    const rows = studyFaults(voices, 1, ['clear']);
    expect(rows.filter(({ hits, takes }) => hits < takes)).toEqual([]);
    expect(rows.length).toBe(21);
  });
  it(
    'a clean voice raises no alarm: one side, both alike, two talkers, in four rooms',
    { timeout: 120_000 },
    () => {
      expect(studyClean(voices, 12)).toEqual({});
    },
  );
});
