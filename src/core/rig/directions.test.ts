import { describe, expect, it } from 'vitest';
import { findPart } from '../parts';
import { layRig } from '../../../testing/lay-rig';
import { hallBy } from '../../../testing/power-rigs';
import { directionsAt, goesSo } from './directions';

const hall = hallBy('lead-jack-ts');

/** The hall, with a coupler between two leads on the way to the phone. */
const rig = layRig({
  ...hall,
  parts: { ...hall.parts, long: 'lead-jack-ts', coupler: 'coupler-jack' },
  joints: [
    ...hall.joints.filter((joint) => !joint.startsWith('pad.big')),
    'long.a mixer.main-left',
    'long.b coupler.a',
    'pad.big coupler.b',
  ],
});

describe('which way sound goes by a lead', () => {
  it('is told by what hangs on it: a source or a recorder', () => {
    expect(directionsAt(rig, 'coupler')).toEqual(['in', 'out']);
    expect(directionsAt(rig, 'long')).toEqual(['in', 'out']);
  });

  it('where neither hangs on it, by the socket that it is in', () => {
    expect(directionsAt(rig, 'mixer')).toEqual(['in', 'out', 'out']);
    expect(directionsAt(rig, 'speaker')).toEqual(['in']);
  });

  it('where both do, and the socket goes both ways, is not known', () => {
    const round = layRig({
      parts: { receiver: 'receiver-trs', lead: 'lead-trs-trs', coupler: 'coupler-trs' },
      joints: ['receiver.out lead.a', 'lead.b coupler.a'],
      source: 'receiver',
      recorder: 'receiver',
    });
    expect(directionsAt(round, 'coupler')).toEqual([undefined]);
  });

  it('is kept by a port that goes both ways or so, not by one that goes the other', () => {
    const ports = findPart('mixer-monitor-fx')!.ports;
    const port = (id: string) => ports.find((one) => one.id === id)!;
    expect(goesSo(port('mic-1'), 'in')).toBe(true);
    expect(goesSo(port('main-left'), 'in')).toBe(false);
    expect(goesSo(port('main-left'), 'out')).toBe(true);
    expect(goesSo(port('mic-1'), undefined)).toBe(true);
  });
});
