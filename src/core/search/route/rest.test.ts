import { describe, expect, it } from 'vitest';
import { PRACTICE, requestOf } from '../../../../testing/practice';
import { findPart, type Part } from '../../parts';
import { dbSpl } from '../../units';
import { sourceEnds } from '../ends';
import { LIMITS, plan } from '.';
import { boxNames, socketKind } from './chain-kinds';
import { FREE } from './course';
import { ANY, Rest, type Spent } from './rest';

const part = (id: string): Part => findPart(id)!;
const [end] = sourceEnds(part('receiver-trs'), dbSpl(74));
const camera = part('camera-trs');
const from = end!.port;
const [to] = camera.ports;

/** What there is to pay, by what has to come yet: nothing shares code with the bounds of a search. */
const LEFT: Readonly<Record<string, number>> = {
  '': 1,
  'a box or a fork': 5,
  'a stage or a fork': 6,
  'a charge or a fork': 7,
  'a box': 10,
  'a stage': 20,
  'a charge': 30,
};

function restWith(spent: readonly Spent[]): Rest {
  const rest = new Rest({
    ports: [to!],
    parts: [],
    course: FREE,
    boundsTo: (_ports, course) => {
      const from = (_end: unknown, step: number) => (step > 0 ? 1 : LEFT[course.name]!);
      return { from, over: (one) => (_part, step) => from(one, step), fromPort: () => 1 };
    },
    spent: () => spent,
  });
  rest.learn(0);
  return rest;
}

const wayOver = (...ids: readonly string[]) => ({
  from,
  links: ids.map((id) => ({ part: part(id) })),
  end: end!,
  step: 0,
});

const found = (ids: readonly string[], more: Partial<Spent> = {}): Spent => ({
  from: socketKind(from),
  boxes: boxNames(ids.map((id) => ({ part: part(id) }))),
  to: socketKind(to!),
  leaves: true,
  isPlain: false,
  ...more,
});

describe('what is left to be paid', () => {
  const left = (spent: readonly Spent[], ...ids: readonly string[]) => restWith(spent).from(wayOver(...ids));

  it('is the least there is, while nothing was found', () => expect(left([], 'lead-trs-trs')).toBe(1));

  it('is that over a box, where copper was found between these sockets, and stays the least over a box', () => {
    expect(left([found([])], 'lead-trs-trs')).toBe(10);
    expect(left([found([])], 'lead-trs-trs', 'mobile-preamp')).toBe(1);
  });

  it('is that over what amplifies, where nothing but money weighs of the copper', () => {
    expect(left([found([], { isPlain: true })], 'lead-trs-trs')).toBe(20);
    expect(left([found([], { isPlain: true })], 'di-passive')).toBe(20);
    expect(left([found([], { isPlain: true })], 'mobile-preamp')).toBe(1);
  });

  it('is that over a box more, where the same boxes were found, and over what charges, where more is padding', () => {
    const box = found(['mobile-preamp']);
    expect(left([box], 'lead-trs-trs')).toBe(1);
    expect(left([box], 'mobile-preamp')).toBe(10);
    expect(left([box], 'mobile-preamp', 'di-passive')).toBe(1);
    const plain = found(['mobile-preamp'], { isPlain: true });
    expect(left([plain], 'mobile-preamp')).toBe(30);
    expect(left([plain], 'mobile-preamp', 'di-passive')).toBe(30);
    expect(left([plain], 'di-passive')).toBe(1);
    // The same boxes the other way round are another way.
    const two = found(['mobile-preamp', 'di-passive'], { isPlain: true });
    expect(left([two], 'di-passive', 'mobile-preamp')).toBe(1);
    expect(left([two], 'mobile-preamp', 'di-passive')).toBe(30);
    expect(left([plain], 'mobile-preamp', 'dongle-usb-c-charge')).toBe(1);
  });

  it('is that over a splitter as well, where what was found leaves no socket for headphones that it could', () => {
    const full = found([], { leaves: false });
    expect(left([full], 'lead-trs-trs')).toBe(5);
    expect(left([full], 'splitter-trs')).toBe(1);
    expect(left([full, found([])], 'splitter-trs')).toBe(10);
  });

  it('is told of the sockets that were found, or of whatever there is', () => {
    expect(left([found([], { to: 'xlr-3 in' })], 'lead-trs-trs')).toBe(1);
    expect(left([found([], { from: 'rca out' })], 'lead-trs-trs')).toBe(1);
    expect(left([found([], { from: ANY })], 'lead-trs-trs')).toBe(10);
    expect(left([found([], { to: ANY })], 'lead-trs-trs')).toBe(10);
  });

  it('is told of a part that is put on by whether it is what has to come', () => {
    const over = restWith([found([])]).over(wayOver('lead-trs-trs'));
    expect(over(part('lead-trs-trs'), 0)).toBe(10);
    expect(over(part('mobile-preamp'), 0)).toBe(1);
  });
});

describe('a question', () => {
  const some = PRACTICE.filter(({ name }) =>
    [
      'a laptop plays into a phone',
      'a portable player into a camera',
      'a portable player into a headset jack, mono',
      'a dynamic microphone 40 m from a portable recorder',
      'a phone with a jack and a port of its own',
      'a camera-top microphone with a battery',
      'a stereo keyboard into a camera',
      'a guitar to a headset jack',
      'a mixer with USB streams to one phone',
      'a large mixer into a rack recorder, stereo',
    ].some((begin) => name.startsWith(begin)),
  );

  it('is asked in ten ways', () => expect(some.length).toBeGreaterThanOrEqual(10));

  it.each(some)('has the same answers whether what is spent is looked for or not: $name', (one) => {
    const asked = (spentAfter: number) =>
      plan(requestOf(one), { ...LIMITS, milliseconds: 60_000, spentAfter });
    const [with_, without] = [asked(1), asked(Infinity)];
    expect(with_.complete).toBe(true);
    expect(with_.routes.map(({ parts, cost }) => [cost, ...parts])).toEqual(
      without.routes.map(({ parts, cost }) => [cost, ...parts]),
    );
  });
});
