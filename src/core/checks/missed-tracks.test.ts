import { describe, expect, it } from 'vitest';
import type { SettingValue } from '../rig';
import { outcomeOf } from '../judge';
import { layRig } from '../../../testing/lay-rig';

/** A guitar at input 1 and a voice at input 2 of an interface, and which input each track of the app records. */
const tracked = (choices: Record<string, SettingValue>) =>
  outcomeOf(
    layRig({
      parts: {
        guitar: 'guitar',
        voice: 'dynamic-xlr',
        jack: 'lead-jack-ts',
        xlr: 'lead-xlr',
        box: 'interface-two-inputs',
        usb: 'lead-usb-c-c',
        tablet: 'tablet-usb-c',
      },
      joints: [
        'guitar.out jack.a',
        'jack.b box.line-1',
        'voice.out xlr.holes',
        'xlr.pins box.mic-2',
        'box.usb usb.a',
        'usb.b tablet.port',
      ],
      others: ['voice'],
      settings: { box: { 'kind-1': 'instrument', 'gain-1': 16, 'gain-2': 56 } },
      apps: { tablet: 'multitrack' },
      choices: { tablet: choices },
    }),
  );
const named = (choices: Record<string, SettingValue>) =>
  tracked(choices).findings.flatMap(({ code, source, setting }) =>
    code === 'wrong-input-number' ? [[source, setting]] : [],
  );

describe('sources that no track records (common practice: a track each, and each its input)', () => {
  it('none, where each track records its own', () => {
    expect(named({ 'track-1': '1', 'track-2': '2' })).toEqual([]);
    expect(tracked({ 'track-1': '1', 'track-2': '2' }).verdict).toBe('clean');
  });
  it('each is told of a track of its own', () => {
    expect(named({ 'track-1': '5', 'track-2': '6' })).toEqual([
      ['guitar', 'track-1'],
      ['voice', 'track-2'],
    ]);
  });
  it('the track that records the other one is left alone', () => {
    expect(named({ 'track-1': '1', 'track-2': '6' })).toEqual([['voice', 'track-2']]);
    expect(named({ 'track-1': '2', 'track-2': '6' })).toEqual([['guitar', 'track-2']]);
  });
  it('where there is but one track, the second is told how many there are', () => {
    expect(named({ tracks: '1', 'track-1': '5' })).toEqual([
      ['guitar', 'track-1'],
      ['voice', 'tracks'],
    ]);
  });
});
