import { describe, expect, it } from 'vitest';
import { layLayout } from '../../../../testing/lay-layout';
import { straightened } from './crossed';
import type { Layout } from './layout';

const joined = ({ joints }: Layout): string[] =>
  joints.map(({ plug, jack }) => `${plug.part}.${plug.port} ${jack.part}.${jack.port}`).sort();

const PIECES = ['keyboard', 'lead:lead-jack-ts', 'lead-2:lead-jack-ts', 'mixer:mixer-fx-usb'];
const STRAIGHT = [
  'lead.a keyboard.left',
  'lead.b mixer.pair-1-left',
  'lead-2.a keyboard.right',
  'lead-2.b mixer.pair-1-right',
];

describe('plugs that are in one another’s sockets (the left of a lead goes to the left of a pair: common practice)', () => {
  it.each([
    ['two leads side by side', STRAIGHT],
    [
      'and crosswise',
      [
        'lead.a keyboard.left',
        'lead.b mixer.pair-1-right',
        'lead-2.a keyboard.right',
        'lead-2.b mixer.pair-1-left',
      ],
    ],
  ])('%s: left goes to left', (_, joints) => {
    const layout = straightened(layLayout(PIECES, joints));
    const far = (side: string) =>
      joined(layout)
        .find((one) => one.endsWith(`mixer.pair-1-${side}`))!
        .split('.')[0]!;
    for (const side of ['left', 'right']) expect(joined(layout)).toContain(`${far(side)}.a keyboard.${side}`);
  });

  it('of a lead with two plugs the first comes to the first socket, whatever it was found for', () => {
    const crossed = layLayout(
      ['phone:phone-ctia', 'lead:lead-breakout-jacks', 'mixer:mixer-fx-usb'],
      ['lead.small phone.jack', 'lead.right mixer.pair-1-left', 'lead.left mixer.pair-1-right'],
    );
    expect(joined(straightened(crossed))).toEqual([
      'lead.left mixer.pair-1-left',
      'lead.right mixer.pair-1-right',
      'lead.small phone.jack',
    ]);
  });

  it('leads from two things lie as they may', () => {
    const two = layLayout(
      ['one:dynamic-xlr', 'two:dynamic-xlr', 'lead:lead-xlr', 'lead-2:lead-xlr', 'mixer:mixer-fx-usb'],
      ['one.out lead.holes', 'lead.pins mixer.mic-2', 'two.out lead-2.holes', 'lead-2.pins mixer.mic-1'],
    );
    expect(straightened(two)).toBe(two);
  });
});
