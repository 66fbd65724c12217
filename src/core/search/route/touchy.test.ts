import { describe, expect, it } from 'vitest';
import { allFacts } from '../../engine';
import { findPart } from '../../parts';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { isTouchy } from './touchy';

const touchy = (sketch: RigSketch): boolean => isTouchy(allFacts(layRig(sketch))[0]);

// Common practice: a pad between what plays and a microphone input, not its volume alone.
describe('what plays, turned down to the level of a microphone', () => {
  const into = (volume: number): RigSketch => ({
    parts: { player: 'player-portable', lead: 'lead-trs-trs', camera: 'camera-trs' },
    joints: ['player.out lead.a', 'lead.b camera.mic'],
    settings: { player: { volume } },
  });

  it('is touchy 24 dB under where its volume stands as delivered, and not before', () => {
    expect(touchy(into(-38))).toBe(true);
    expect(touchy(into(-37))).toBe(false);
    expect(touchy(into(-14))).toBe(false);
  });

  it('a guitar turned down so far is, too', () => {
    const guitar = (volume: number): RigSketch => ({
      parts: { guitar: 'guitar', lead: 'lead-jack-ts', box: 'recorder-line' },
      joints: ['guitar.out lead.a', 'lead.b box.line-left'],
      settings: { guitar: { volume } },
    });
    expect(touchy(guitar(-24))).toBe(true);
    expect(touchy(guitar(0))).toBe(false);
  });

  it('the gain of a microphone is for that', () => {
    const own = findPart('usb-mic-big')!;
    const gains = (own.settings ?? []).map((one) =>
      one.kind === 'knob' ? { ...one, initial: one.to } : one,
    );
    const rig = layRig({
      parts: { microphone: 'usb-mic-big', lead: 'lead-usb-a-b', laptop: 'laptop-combo' },
      joints: ['microphone.usb lead.b', 'lead.a laptop.usb-a'],
      settings: { microphone: { gain: 0 } },
    });
    const parts = rig.parts.map((one) =>
      one.id === 'microphone' ? { ...one, part: 'own-microphone' } : one,
    );
    const ownParts = [{ ...own, id: 'own-microphone', settings: gains }];
    expect(isTouchy(allFacts({ ...rig, parts, ownParts })[0])).toBe(false);
  });
});

// Common practice: a mixer's line output into a microphone input wants a pad.
describe('a mixer’s output kept down by its knobs alone', () => {
  const mixed = (lead: string, ends: readonly [string, string], recorder: string): RigSketch => ({
    parts: { voice: 'dynamic-xlr', long: 'lead-xlr', mixer: 'mixer-rca-only', lead, recorder },
    joints: [
      'voice.out long.holes',
      'long.pins mixer.mic-1',
      `mixer.tape-left lead.${ends[0]}`,
      `lead.${ends[1]} recorder.${recorder === 'camera-trs' ? 'mic' : 'line-left'}`,
    ],
    settings: { mixer: { 'gain-1': 40 } },
  });

  it('is touchy where its output has 24 dB and more to spare over what it feeds', () => {
    expect(touchy(mixed('lead-rca-pair-trs', ['left', 'small'], 'camera-trs'))).toBe(true);
    expect(touchy(mixed('lead-jack-rca', ['rca', 'big'], 'recorder-line'))).toBe(false);
  });
});
