import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, answersTo, findPart } from '.';
import { answers, identify, sayEnd, sayQuestion, type Answer, type SeenEnd } from './identify';

const plug = (connector: SeenEnd['connector']): SeenEnd => ({ connector, gender: 'plug' });
const jack = (connector: SeenEnd['connector']): SeenEnd => ({ connector, gender: 'jack' });
const ids = (seen: SeenEnd[], answered: Answer[] = []) =>
  identify(CATALOGUE, seen, answered).candidates.map((part) => part.id);

describe('a thing by its ends', () => {
  it('two dark bands at one end and three at the other is a patch cable', () => {
    expect(ids([plug('trs-3.5'), plug('trrs-3.5')])).toEqual(['patch-trs-trrs']);
  });

  it('an end that was seen twice must be there twice', () => {
    expect(ids([plug('trrs-3.5'), plug('trrs-3.5')])).toEqual(['lead-trrs-trrs']);
    expect(ids([jack('trs-3.5'), jack('trs-3.5'), plug('trrs-3.5')])).toContain('splitter-trs');
    expect(ids([jack('trs-3.5'), jack('trs-3.5'), plug('trrs-3.5')])).not.toContain('splitter-trrs');
  });

  it('nothing is like what no part has', () => {
    expect(ids([plug('rca'), plug('8-pin')])).toEqual([]);
    expect(identify(CATALOGUE, [plug('rca'), plug('8-pin')], []).next).toBeUndefined();
  });
});

describe('what to look at next', () => {
  it('leads any part of the catalogue to itself, or to those that no look tells apart, within sixteen questions', () => {
    for (const part of CATALOGUE) {
      const answered: Answer[] = [];
      let left = identify(CATALOGUE, [], answered);
      while (left.next && answered.length < 16) {
        answered.push({ question: left.next, yes: answers(part, left.next) });
        left = identify(CATALOGUE, [], answered);
      }
      expect(left.candidates, part.id).toContain(part);
      expect(left.next, part.id).toBeUndefined();
    }
  });

  it('comes near to halving what is left, and is never asked twice', () => {
    fc.assert(
      fc.property(fc.constantFrom(...CATALOGUE), (part) => {
        const answered: Answer[] = [];
        for (let turn = 0; turn < 12; turn += 1) {
          const { next } = identify(CATALOGUE, [], answered);
          if (!next) return;
          expect(answered.map(({ question }) => JSON.stringify(question))).not.toContain(
            JSON.stringify(next),
          );
          answered.push({ question: next, yes: answers(part, next) });
        }
      }),
      { seed: 20261124, numRuns: 40 },
    );
  });

  it('tells the two splitters apart by their sockets', () => {
    const seen = [plug('trrs-3.5'), jack('trs-3.5')];
    const left = identify(CATALOGUE, seen, []).candidates;
    expect(left).toContain(findPart('splitter-trs'));
    expect(left).toContain(findPart('splitter-trrs'));
    const socket: Answer = { question: { ask: 'end', end: jack('trrs-3.5') }, yes: true };
    expect(identify(CATALOGUE, seen, [socket]).candidates).not.toContain(findPart('splitter-trs'));
  });

  it('is said in words that name what is in the hand', () => {
    expect(sayEnd(plug('trrs-3.5'))).toBe('plug with three dark bands, 3.5 mm');
    expect(sayEnd(jack('xlr-3'))).toBe('XLR with holes');
    expect(sayQuestion({ ask: 'phantom' })).toContain('48 V');
    expect(sayQuestion({ ask: 'ends', count: 3 })).toContain('3 plugs and sockets');
  });
});

describe('a thing in words', () => {
  it.each([
    ['lead: one end two dark bands, other end three', 'patch-trs-trrs'],
    ['box: XLR in, USB-C out, 48 V', 'interface-one-input'],
    ['box: XLR in, XLR out, wants 48 V', 'booster-inline'],
    ['8-pin headset dongle', 'dongle-8-pin-headset'],
  ])('“%s” finds %s', (words, id) => {
    expect(answersTo(findPart(id)!, words)).toBe(true);
  });
});
