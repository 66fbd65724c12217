import { describe, expect, it } from 'vitest';
import { CATALOGUE, findPart, type Part } from '../../parts';
import { LIMITS, plan, type RouteRequest } from '.';
import { cheapestTwins, thingOf } from './twins';

const dongle = findPart('dongle-8-pin-headset')!;
const copy = (changes: Partial<Part>): Part => ({
  ...structuredClone(dongle),
  id: 'own-dongle',
  name: 'dongle of the yard',
  ...changes,
});
const names = (parts: readonly Part[]): string[] => parts.map(({ name }) => name);

describe('of things that differ by name and price alone', () => {
  it('the cheapest stays, of equals the first', () => {
    expect(cheapestTwins([dongle, copy({ price: 12 })], {})).toEqual([dongle]);
    expect(names(cheapestTwins([dongle, copy({ price: 8 })], {}))).toEqual(['dongle of the yard']);
    expect(cheapestTwins([dongle, copy({})], {})).toEqual([dongle]);
  });

  it('what is owned stays beside what would be bought in its place', () => {
    expect(cheapestTwins([dongle, copy({ price: 12 })], { 'own-dongle': 1 })).toHaveLength(2);
  });

  it('a contact that leads elsewhere, a figure or a word of evidence makes it another thing', () => {
    const { circuit, bus } = dongle;
    const first = circuit[0]!;
    expect(thingOf(copy({}))).toBe(thingOf(dongle));
    expect(thingOf(copy({ circuit: circuit.slice(1) }))).not.toBe(thingOf(dongle));
    expect(
      thingOf(copy({ circuit: [{ ...first, b: 'jack.S' } as typeof first, ...circuit.slice(1)] })),
    ).not.toBe(thingOf(dongle));
    expect(thingOf(copy({ bus: { ...bus!, draw: 99 } }))).not.toBe(thingOf(dongle));
    expect(thingOf(copy({ family: 'adapter' }))).not.toBe(thingOf(dongle));
  });

  it('none stands in the catalogue twice', () => {
    expect(cheapestTwins(CATALOGUE, {})).toBe(CATALOGUE);
  });
});

describe('a copy of a shipped part under a name of one’s own', () => {
  const ask = (own: Part, drawer: Record<string, number>): RouteRequest => ({
    format: 'symplex-request',
    version: 1,
    sources: [{ part: 'receiver-trs' }],
    destinations: [{ part: 'phone-8-pin', app: 'camera-app' }],
    ownParts: [own],
    drawer,
  });

  it('is taken where it is owned, and the shipped one is no second way', () => {
    const { routes } = plan(ask(copy({ price: 12 }), { 'own-dongle': 1 }), LIMITS);
    expect(routes[0]?.parts).toContain('own-dongle');
    expect(routes.filter(({ parts }) => parts.includes(dongle.id))).toEqual([]);
    const without = plan({ ...ask(dongle, {}), ownParts: [] }, LIMITS);
    expect(routes.length).toBe(without.routes.length);
  });
});
