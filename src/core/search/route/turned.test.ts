import { describe, expect, it } from 'vitest';
import { layLayout } from '../../../../testing/lay-layout';
import type { Layout } from './layout';
import type { RouteRequest } from './request';
import { turnedToSource, turnedWithin } from './turned';

const joined = ({ joints }: Layout): string[] =>
  joints.map(({ plug, jack }) => `${plug.part}.${plug.port} ${jack.part}.${jack.port}`).sort();

const laid = (pieces: readonly string[], joints: readonly string[], source: string): Layout => ({
  ...layLayout([...pieces], [...joints]),
  sources: [source],
});

// Common practice: the plug of a splitter is in the output that it shares out.
describe('a splitter that shares out an output', () => {
  const PIECES = [
    'receiver:receiver-trs',
    'splitter:splitter-headphones',
    'lead:lead-trs-trs',
    'camera:camera-trs',
    'patch:patch-trs-trrs',
    'phone:phone-ctia',
  ];
  const RIGHT = [
    'lead.a splitter.one',
    'lead.b camera.mic',
    'patch.trrs phone.jack',
    'patch.trs splitter.two',
    'splitter.plug receiver.out',
  ];

  it('has its plug in it, where it was found with the plug in what hears', () => {
    const backward = [
      'lead.a splitter.one',
      'lead.b receiver.out',
      'splitter.plug camera.mic',
      'patch.trs splitter.two',
      'patch.trrs phone.jack',
    ];
    expect(joined(turnedToSource(laid(PIECES, backward, 'receiver')))).toEqual(RIGHT);
  });

  it('lies as it was found where a recorder would be too far from it the other way', () => {
    const joints = [
      'lead.a splitter.one',
      'lead.b receiver.out',
      'splitter.plug camera.mic',
      'patch.trs splitter.two',
      'patch.trrs phone.jack',
    ];
    const layout: Layout = {
      ...laid(PIECES, joints, 'receiver'),
      recorders: ['camera', 'phone'],
    };
    const metresTo = (metres: number): RouteRequest => ({
      format: 'symplex-request',
      version: 1,
      sources: [{ part: 'receiver-trs', place: 'stage' }],
      destinations: [{ part: 'camera-trs' }, { part: 'phone-ctia', place: 'desk' }],
      distances: [{ from: 'stage', to: 'desk', metres }],
    });
    expect(turnedWithin(layout, metresTo(0.3))).toBe(layout);
    expect(joined(turnedWithin(layout, metresTo(0.1)))).toEqual(RIGHT);
  });

  it('lies as it is where it lies so already', () => {
    const layout = laid(PIECES, RIGHT, 'receiver');
    expect(turnedToSource(layout)).toBe(layout);
  });

  it('stays where two sources meet in it, and its plug is where they leave', () => {
    const two = {
      ...laid(
        ['one:clip-on-trs', 'two:clip-on-trs', 'splitter:splitter-headphones', 'camera:camera-trs'],
        ['one.plug splitter.one', 'two.plug splitter.two', 'splitter.plug camera.mic'],
        'one',
      ),
      sources: ['one', 'two'],
    };
    expect(turnedToSource(two)).toBe(two);
  });

  it('stays where it parts left from right: it is not the same the other way', () => {
    const parted = laid(
      ['player:player-portable', 'splitter:splitter-left-right', 'lead:lead-trs-trs', 'camera:camera-trs'],
      ['lead.a splitter.one', 'lead.b player.out', 'splitter.plug camera.mic'],
      'player',
    );
    expect(turnedToSource(parted)).toBe(parted);
  });
});
