import { describe, expect, it } from 'vitest';
import { outcomeOf } from '../../judge';
import { findPart } from '../../parts';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { costFor, NOTHING } from './inventory';
import { isOutdone } from './outdone';
import { weightOf, type Found } from './rank';
import type { Layout } from './layout';

const PURSE = { drawer: {}, bother: { piece: 5, joint: 1 } };

const layoutOf = (sounds: string): Layout => ({
  pieces: ['phone-ctia'].map((id) => ({ id, part: findPart(id)! })),
  joints: [],
  sources: [],
  recorders: ['phone-ctia'],
  kind: 'one>other',
  sounds,
});

const clean: RigSketch = {
  parts: { receiver: 'receiver-trs', lead: 'patch-trs-trrs', phone: 'phone-ctia' },
  joints: ['receiver.out lead.trs', 'lead.trrs phone.jack'],
};
/** What a phone plays, its sides tied by a lead for one side: a note, which another lead would cure. */
const tied: RigSketch = {
  parts: { phone: 'phone-ctia', lead: 'lead-line-mono-both', mixer: 'mixer-fx-usb' },
  joints: ['lead.small phone.jack', 'lead.big mixer.pair-1-left'],
};

const found = (sketch: RigSketch, price: number): Found => {
  const rig = layRig(sketch);
  return {
    layout: layoutOf('alike'),
    rig,
    judged: outcomeOf(rig),
    cost: costFor(0, price, 0, PURSE),
    kind: 'one>other',
    overruns: 0,
    apart: true,
    lost: 0,
    touchy: false,
    rough: 0,
  };
};

const asked = (price: number, sounds = 'alike') => ({
  layout: layoutOf(sounds),
  cost: { ...NOTHING, price, weight: price },
  least: price,
});

describe('a layout beside what was found of its kind', () => {
  it('is no better where that weighs no more', () => {
    expect(isOutdone(asked(30), [found(clean, 20)], (one) => weightOf(one))).toBe(true);
    expect(isOutdone(asked(10), [found(clean, 20)], (one) => weightOf(one))).toBe(false);
  });

  it('nor where it sounds the same and costs more than what a note weighs', () => {
    const noted = found(tied, 20);
    expect(noted.judged.findings.map(({ code }) => code)).toContain('sides-tied');
    const heavy = () => 100;
    expect(isOutdone(asked(60), [noted], heavy)).toBe(true);
    expect(isOutdone(asked(60, 'otherwise'), [noted], heavy)).toBe(false);
  });

  it('but may be where it costs a little more, and has no such note', () => {
    expect(isOutdone(asked(21), [found(tied, 20)], () => 35)).toBe(false);
  });

  it('of one sound three are looked at', () => {
    const three = [18, 19, 20].map((price) => found(tied, price));
    expect(isOutdone(asked(21), three, () => 35)).toBe(true);
    expect(isOutdone(asked(21), three.slice(1), () => 35)).toBe(false);
  });
});
