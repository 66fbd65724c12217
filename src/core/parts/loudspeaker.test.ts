import { describe, expect, it } from 'vitest';
import { checkPart } from './model/check-part';
import { findPart } from '.';

const loud = findPart('loudspeaker-stage');
const own = (speaker: object) =>
  checkPart({ ...loud, id: 'own-loud', speaker: { ...loud?.speaker, ...speaker } });

describe('a loudspeaker of one’s own', () => {
  it('is sound as shipped', () => {
    expect(own({})).toMatchObject({ ok: true });
  });
  it.each([
    [{ plus: 'nowhere' }, '/speaker/plus', 'nowhere'],
    [{ gain: { knob: 'none' } }, '/speaker/gain', undefined],
    [{ spl: 500 }, '/speaker/spl', undefined],
    [{ directivity: 0 }, '/speaker/directivity', undefined],
  ])('with %j is refused at its place', (speaker, at, value) => {
    const result = own(speaker);
    expect(result.ok).toBe(false);
    if (result.ok) return;
    expect(result.problem.at.startsWith(at)).toBe(true);
    if (value !== undefined) expect(result.problem.value).toBe(value);
  });
});
