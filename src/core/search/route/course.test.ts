import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, findPart, type Part } from '../../parts';
import { dbSpl } from '../../units';
import { sourceEnds } from '../ends';
import { bridging, farCourse, type Bridged } from './bridging';
import { bothOf, FREE, isThrough, throughOneOf, type Course } from './course';

const part = (id: string): Part => findPart(id)!;
const [microphone] = sourceEnds(part('dynamic-xlr'), dbSpl(74));
const [guitar] = sourceEnds(part('guitar'), dbSpl(74));
const [numbers] = sourceEnds(part('usb-mic-low'), dbSpl(74));

const isPast = (course: Course, parts: readonly Part[], start = microphone!): boolean =>
  isThrough(
    course,
    parts.reduce((step, one) => course.after(one, step), course.begin(start)),
  );

describe('what a chain has to lead through', () => {
  it('nothing: it is through from the start', () => expect(isPast(FREE, [])).toBe(true));

  it('two things, whichever comes first, are each of them (fast-check, seed 20261127)', () => {
    const hub = throughOneOf('hub', new Set([part('hub-usb-c'), part('hub-usb-a')]));
    const box = throughOneOf('box', new Set([part('interface-small')]));
    const far = farCourse(part('laptop-combo'), true);
    const parts = fc.array(fc.constantFrom(...CATALOGUE), { maxLength: 5 });
    fc.assert(
      fc.property(parts, fc.constantFrom(microphone!, guitar!, numbers!), (some, start) => {
        for (const [a, b] of [
          [hub, box],
          [box, far],
          [far, hub],
        ] as const)
          expect(isPast(bothOf(a, b), some, start)).toBe(isPast(a, some, start) && isPast(b, some, start));
      }),
      { seed: 20261127, numRuns: 400 },
    );
  });

  it.each([
    [
      'a microphone by a long XLR lead into a balanced input',
      ['lead-xlr'],
      microphone!,
      'recorder-xlr',
      true,
    ],
    ['a guitar by a lead alone', ['lead-jack-ts'], guitar!, 'recorder-xlr', false],
    [
      'a guitar by a DI box that stands at the recorder',
      ['lead-jack-ts', 'di-passive'],
      guitar!,
      'recorder-xlr',
      false,
    ],
    [
      'a guitar by a DI box and then a long lead',
      ['lead-jack-ts', 'di-passive', 'lead-xlr'],
      guitar!,
      'recorder-xlr',
      true,
    ],
    ['a microphone by a long lead into nothing balanced', ['lead-xlr'], microphone!, 'camera-trs', false],
    ['and into a box that is', ['lead-xlr', 'mobile-preamp'], microphone!, 'camera-trs', true],
  ] as const)('%s', (_, ids, start, goal, through) => {
    expect(isPast(farCourse(part(goal), false), ids.map(part), start)).toBe(through);
  });

  it('numbers bridge by their lead as far as that reaches, and no farther', () => {
    const lead = [part('lead-usb-a-b')];
    expect(isPast(farCourse(part('laptop-combo'), true), lead, numbers)).toBe(true);
    expect(isPast(farCourse(part('laptop-combo'), false), lead, numbers)).toBe(false);
  });

  it('from a balanced source it is bridged as bridging says (fast-check, seed 20261127)', () => {
    const goal = part('recorder-xlr');
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...CATALOGUE), { maxLength: 4 }),
        fc.boolean(),
        (some, byNumbers) => {
          const bridged = some.reduce<Bridged>(
            (before, one) => bridging(true, byNumbers)(one, before),
            'not',
          );
          expect(isPast(farCourse(goal, byNumbers), some)).toBe(bridged === 'well');
        },
      ),
      { seed: 20261127, numRuns: 400 },
    );
  });
});
