import { describe, expect, it } from 'vitest';
import { measured, stored } from '../../../../testing/takes/study';
import { readTake, type TakeCode } from '../reading';
import { FAULTY, faultyTake } from './faulty';

/** What each fault is to be told as, first; written down before the takes were read. */
const TOLD: Readonly<Record<string, TakeCode | undefined>> = {
  'nothing wrong': undefined,
  'mains hum': 'take-hums',
  'charger whine': 'take-whines',
  hiss: 'take-noisy',
  'clipped at full scale': 'take-clips',
  'clipped before the recorder': 'take-clips',
  'too quiet': 'take-quiet',
  'left side only': 'take-one-side',
  'one side turned over': 'take-inverted',
  'echo of a call': 'take-echoes',
  holes: 'take-drops',
  clicks: 'take-clicks',
  'a telephone’s band': 'take-narrow',
  silence: 'take-silent',
};

describe('takes with a fault', () => {
  it('are all of them expected here', () => {
    expect(FAULTY.map(({ name }) => name)).toEqual(Object.keys(TOLD));
  });

  it.each(FAULTY.flatMap(({ name }) => [1, 2].map((seed) => [name, seed] as const)))(
    '%s (seed %i) reads as what it is, and as nothing else',
    (name, seed) => {
      const { sides, sampleRate } = faultyTake(name, seed);
      const found = readTake(measured(stored(sides), sampleRate));
      expect(found.map(({ code }) => code)).toEqual(TOLD[name] === undefined ? [] : [TOLD[name]]);
    },
  );

  it('refuses a fault that it does not know by its name', () => {
    expect(() => faultyTake('gremlins')).toThrow('gremlins');
  });
});
