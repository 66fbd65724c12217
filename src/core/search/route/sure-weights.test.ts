import { describe, expect, it } from 'vitest';
import { CATALOGUE, findPart } from '../../parts';
import { PRACTICE, requestOf } from '../../../../testing/practice';
import { TOUCHY } from '../bother';
import { plan } from '../../../../testing/by-steps';
import { partsIn } from './layout';
import { farthestByNumbers } from './lengths';
import { LIMITS, search } from './search';
import { weightOf, type Found } from './rank';
import type { RouteRequest } from './request';

/** What a search finds, cut by work. */
function foundFor(request: RouteRequest): readonly Found[] {
  const steps = search(request, { ...LIMITS, milliseconds: Infinity, steps: 2000 });
  for (;;) {
    const next = steps.next();
    if (next.done) return next.value.found;
  }
}

describe('what a chain is known to weigh before anybody judges it', () => {
  const named = (words: string) => PRACTICE.filter(({ name }) => name.includes(words)).map(requestOf);
  const asked = [...named('a dynamic microphone'), ...named('a ribbon microphone')];
  const found = asked.flatMap(foundFor);

  it('is weighed by what is found, too: by the pipeline’s own peaks it is no less', () => {
    for (const one of found)
      expect(one.layout.sure ?? 0, one.kind).toBeLessThanOrEqual(weightOf(one) - one.cost.weight + 1e-6);
  });
});

describe('what sends at full level into a microphone input', () => {
  const overMixer: RouteRequest = {
    format: 'symplex-request',
    version: 1,
    sources: [{ part: 'dynamic-xlr' }],
    through: 'mixer-large',
    destinations: [{ part: 'camera-trs' }],
  };
  const ofMixer = foundFor({
    ...overMixer,
    catalogue: ['lead-xlr', 'lead-headphones-aux', 'lead-rca-pair-trs', 'pad-jack-40'],
  });

  it('weighs as touchy before it is judged, where nothing but copper pads it, and is so', () => {
    const touchy = ofMixer.filter((one) => one.touchy);
    const padded = ofMixer.filter((one) => !one.touchy);
    expect(padded.length).toBeGreaterThan(0);
    for (const one of touchy) expect(one.layout.sure, partsIn(one.layout)).toBeGreaterThanOrEqual(TOUCHY);
    for (const one of padded) expect(one.layout.sure ?? 0, partsIn(one.layout)).toBe(0);
  });

  it('so that of what is alike nobody has to judge more than a few', () => {
    const result = plan(overMixer);
    expect(result.routes[0]?.buy.map(({ part }) => part)).toContain('pad-jack-40');
    // Six are; in two seconds 44 were, when each touchy way was judged to be found so.
    expect(result.searched).toBeLessThan(20);
  });
});

describe('how far numbers reach', () => {
  it('a part more adds the five metres at the most in which leads for them are sold', () => {
    expect(farthestByNumbers(CATALOGUE)).toBe(5);
    expect(farthestByNumbers([findPart('lead-xlr')!])).toBe(0);
  });

  it('or nobody knows how many, where a longer one is owned', () => {
    const lead = findPart('lead-usb-a-b')!;
    expect(farthestByNumbers([lead], { 'lead-usb-a-b': [8] })).toBe(Infinity);
    expect(farthestByNumbers([lead], { 'lead-usb-a-b': [2] })).toBe(5);
  });
});
