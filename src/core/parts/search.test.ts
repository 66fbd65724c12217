import { describe, expect, it } from 'vitest';
import { CATALOGUE, answersTo, searchRank } from '.';

const found = (query: string) =>
  CATALOGUE.filter((part) => answersTo(part, query))
    .sort((a, b) => searchRank(a, query) - searchRank(b, query))
    .map((part) => part.id);

describe('looking for a part', () => {
  it('by name, best first', () => {
    expect(found('patch cable')[0]).toBe('patch-trs-trrs');
    expect(found('Clip-on pack')[0]).toBe('pack-clip-on');
  });
  it('by counted bands: "two bands one end, three the other"', () => {
    const leads = found('lead two bands one end, three the other');
    expect(leads).toContain('patch-trs-trrs');
    expect(leads).not.toContain('lead-trs-trs');
    expect(found('one band')).toContain('lead-jack-ts');
  });
  it('by a socket', () => {
    expect(found('xlr 48 v usb-c')).toContain('interface-one-input');
    expect(found('8-pin charging')).toContain('adapter-8-pin-usb');
  });
  it('every shipped part is found first or nearly by its own name', () => {
    for (const part of CATALOGUE) expect(found(part.name).slice(0, 3), part.name).toContain(part.id);
  });
  it('finds nothing for what there is not, and everything for nothing', () => {
    expect(found('theremin')).toEqual([]);
    expect(found('  ')).toHaveLength(CATALOGUE.length);
  });
});
