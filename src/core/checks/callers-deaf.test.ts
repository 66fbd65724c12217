import { describe, expect, it } from 'vitest';
import { layRig } from '../../../testing/lay-rig';
import type { AppId } from '../apps';
import { analyse } from '../judge';

/** One pack on two phones at once, both live. */
const codes = (ears: boolean, app: AppId): string[] => {
  const rig = layRig({
    parts: {
      receiver: 'receiver-trs',
      splitter: 'splitter-headphones',
      a: 'patch-trs-trrs',
      b: 'patch-trs-trrs',
      ...(ears && { fork: 'splitter-trrs', ears: 'headphones-trs' }),
      one: 'phone-ctia',
      other: 'phone-ctia',
    },
    joints: [
      'splitter.plug receiver.out',
      'a.trs splitter.one',
      'b.trs splitter.two',
      'a.trrs one.jack',
      ...(ears
        ? ['b.trrs fork.mic', 'fork.plug other.jack', 'ears.plug fork.phones']
        : ['b.trrs other.jack']),
    ],
    apps: { one: app, other: app },
  });
  const both = { ...rig, purpose: { sources: ['receiver'], recorders: ['one', 'other'] } };
  return analyse(both).findings.map(({ code }) => code);
};

// Common practice: who streams one talk by two phones need not have guests on either.
describe('two phones that are live at once', () => {
  it('without anybody listening to them have no guests who could miss one another', () => {
    expect(codes(false, 'live-stream')).not.toContain('callers-deaf');
  });
  it('where one of them is listened to, nobody misses those who need not be on the other', () => {
    expect(codes(true, 'live-stream')).not.toContain('callers-deaf');
  });
  it('in two calls somebody is at either far end', () => {
    expect(codes(false, 'voice-room')).toContain('callers-deaf');
  });
});
