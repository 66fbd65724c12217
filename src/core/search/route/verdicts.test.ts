import { describe, expect, it } from 'vitest';
import { allFacts } from '../../engine';
import { bareOutcomeFrom } from '../../judge';
import { findPart, type Part } from '../../parts';
import type { Rig } from '../../rig';
import { LostHeads } from './heads';
import { rigOf, type Layout } from './layout';
import type { RouteRequest } from './request';
import { Shapes } from './shape';

const partNamed = (id: string): Part => {
  const part = findPart(id);
  if (!part) throw new Error(id);
  return part;
};

/** Pieces as `id: part`, with the metres of a lead after it; joints as `plug.port jack.port`. */
function layout(
  pieces: Record<string, string>,
  joints: readonly string[],
  sources: readonly string[],
  recorder: string,
): Layout {
  const ref = (text: string) => {
    const [part = '', port = ''] = text.split('.');
    return { part, port };
  };
  return {
    pieces: Object.entries(pieces).map(([id, text]) => {
      const [part = '', metres] = text.split(' ');
      const app = partNamed(part).host ? ({ app: 'camera-app' } as const) : {};
      return { id, part: partNamed(part), ...app, ...(metres !== undefined && { length: Number(metres) }) };
    }),
    joints: joints.map((text, index): Rig['joints'][number] => {
      const [plug = '', jack = ''] = text.split(' ');
      return { id: `j${index + 1}`, plug: ref(plug), jack: ref(jack) };
    }),
    sources,
    recorders: [recorder],
    kind: '',
  };
}

const request = (sources: RouteRequest['sources']): RouteRequest => ({
  format: 'symplex-request',
  version: 1,
  sources,
  destinations: [{ part: 'phone-ctia', app: 'camera-app' }],
});

describe('the shape of a layout', () => {
  const twoIn = (left: string, right: string, metres = '') =>
    layout(
      { one: `clip-on-trs${metres}`, two: 'clip-on-trs', fork: 'splitter-two-mics', phone: 'phone-ctia' },
      [`${left}.plug fork.mic-1`, `${right}.plug fork.mic-2`, 'fork.plug phone.jack'],
      ['one', 'two'],
      'phone',
    );
  const alike = [
    { part: 'clip-on-trs', label: 'Clip-on of the shipwright' },
    { part: 'clip-on-trs', label: 'Clip-on of the host' },
  ];
  it('is the same when two like sources change sockets, whatever they are called', () => {
    const shapes = new Shapes(request(alike));
    expect(shapes.of(twoIn('one', 'two'))).toBe(shapes.of(twoIn('two', 'one')));
  });
  it('is another where one of them stands farther off', () => {
    const shapes = new Shapes(request([{ ...alike[0]!, distance: 1 }, alike[1]!]));
    expect(shapes.of(twoIn('one', 'two'))).not.toBe(shapes.of(twoIn('two', 'one')));
  });
  it('is another where a lead is longer, or goes another way', () => {
    const shapes = new Shapes(request([{ part: 'receiver-trs' }]));
    const patched = (metres: string, joints: readonly string[]) =>
      layout({ r: 'receiver-trs', l: `patch-trs-trrs ${metres}`, p: 'phone-ctia' }, joints, ['r'], 'p');
    const right = ['l.trs r.out', 'l.trrs p.jack'];
    const found = [patched('1', right), patched('3', right), patched('1', ['l.trrs r.out', 'l.trs p.jack'])];
    expect(new Set(found.map((one) => shapes.of(one))).size).toBe(3);
  });
});

describe('ways with which a source is lost before anything follows', () => {
  const plain = (lead: string) =>
    layout(
      { g: 'guitar', l: lead, s: 'usb-sound-trs', a: 'adapter-8-pin-usb', p: 'phone-8-pin' },
      ['l.big g.out', 'l.small s.mic', 's.usb a.usb', 'a.plug p.port'],
      ['g'],
      'p',
    );
  const asked = request([{ part: 'guitar' }]);
  const learnt = (from: Layout) => {
    const facts = allFacts(rigOf(from, asked));
    const heads = new LostHeads();
    const outcome = bareOutcomeFrom(facts);
    heads.learn(from, outcome, facts[0]);
    return { heads, codes: outcome.findings.filter((f) => f.severity !== 'note').map((f) => f.code) };
  };
  it('a pick-up on a microphone input is dull by far: no other copper lead there is tried', () => {
    const { heads, codes } = learnt(plain('lead-headphones-aux'));
    expect(codes).toEqual(['dull']);
    expect(heads.has(plain('lead-headphones-aux'))).toBe(true);
    expect(heads.has(plain('lead-line-mono-both'))).toBe(true);
  });
  it('but what holds it off the input is, and so is another source', () => {
    const { heads } = learnt(plain('lead-headphones-aux'));
    const boxed = layout(
      { g: 'guitar', l: 'lead-jack-ts', s: 'interface-small', p: 'tablet-usb-c' },
      ['l.a g.out', 'l.b s.line-1', 's.usb p.port'],
      ['g'],
      'p',
    );
    const deck = { ...plain('lead-headphones-aux') };
    const pieces = deck.pieces.map((one) => (one.id === 'g' ? { ...one, part: partNamed('keyboard') } : one));
    expect(heads.has(boxed)).toBe(false);
    expect(heads.has({ ...deck, pieces })).toBe(false);
  });
});
