import { describe, expect, it } from 'vitest';
import { readLengths, sayLengths } from './lead-lengths';

describe('lengths of owned leads, as people write them', () => {
  it.each<[string, readonly number[]]>([
    ['', []],
    ['3', [3]],
    ['1,5; 3; 3', [1.5, 3, 3]],
    ['1.5 m; 3m', [1.5, 3]],
    ['1.5, 3', [1.5, 3]],
    [' 0.2  10 ', [0.2, 10]],
  ])('“%s”', (text, metres) => expect(readLengths(text, 9)).toEqual({ ok: true, metres }));
  it.each([
    ['three', 9, '"three" is no length; write metres, at most 500: 1.5; 3'],
    ['-1', 9, '"-1" is no length; write metres, at most 500: 1.5; 3'],
    ['501', 9, '"501" is no length; write metres, at most 500: 1.5; 3'],
    ['1; 2; 3', 2, '3 lengths are written, and there are 2 of it'],
  ])('“%s” is refused', (text, most, says) => expect(readLengths(text, most)).toEqual({ ok: false, says }));
  it('what is said is read again', () =>
    expect(readLengths(sayLengths([0.5, 12]), 2)).toEqual({ ok: true, metres: [0.5, 12] }));
});
