import { describe, expect, it } from 'vitest';
import { malformedBy, valueAt } from '.';

describe('the value at a JSON pointer (RFC 6901, section 5: its own examples)', () => {
  const document = { foo: ['bar', 'baz'], 'a/b': 1, 'm~n': 8, ' ': 7 };
  it.each<[string, unknown]>([
    ['/foo', ['bar', 'baz']],
    ['/foo/0', 'bar'],
    ['/a~1b', 1],
    ['/m~0n', 8],
    ['/ ', 7],
    ['', document],
    ['/foo/9', undefined],
    ['/constructor', undefined],
    ['/foo/0/length', undefined],
  ])('%s', (pointer, value) => expect(valueAt(document, pointer)).toEqual(value));
});

describe('what a schema objects to', () => {
  it('a missing field is named by its own place', () => {
    const errors = [{ instancePath: '/parts/0', keyword: 'required', params: { missingProperty: 'id' } }];
    expect(malformedBy({ parts: [{}] }, errors)).toEqual({
      at: '/parts/0/id',
      value: undefined,
      expected: 'must be there',
    });
  });
  it('a choice tells what may be chosen', () => {
    const errors = [
      {
        instancePath: '/voice',
        keyword: 'enum',
        params: { allowedValues: ['normal', 'loud'] },
        message: 'must be equal to one of the allowed values',
      },
    ];
    expect(malformedBy({ voice: 'soft' }, errors)).toEqual({
      at: '/voice',
      value: 'soft',
      expected: 'must be one of ["normal","loud"]',
    });
  });
  it('says something even where the validator says nothing', () => {
    expect(malformedBy(7, null)).toEqual({ at: '', value: 7, expected: 'must follow the schema' });
  });
});
