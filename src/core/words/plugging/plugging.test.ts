import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readRig } from '../../files/read-rig';
import { portOf, type Rig } from '../../rig';
import { cautionsFor, pluggingSteps } from '.';

const usual = (name: string): Rig => {
  const result = readRig(readFileSync(`demo/usual/${name}`, 'utf8'));
  if (!result.ok) throw new Error(name);
  return result.rig;
};
const says = (name: string) => pluggingSteps(usual(name)).map((step) => step.says);
const at = (lines: readonly string[], words: RegExp): number => lines.findIndex((line) => words.test(line));

describe('the order of plugging in (common practice: mains, hub, device, then the phone; phantom and levels last)', () => {
  it.each(readdirSync('demo/usual'))('%s: every joint once, and a test at the end', (name) => {
    const rig = usual(name);
    const steps = pluggingSteps(rig);
    const plugged = rig.joints.filter(({ plug }) => portOf(rig, plug)?.connector !== 'radio');
    expect(steps.filter(({ is }) => is === 'plug')).toHaveLength(plugged.length);
    expect(steps.at(-1)?.says).toContain('play it back');
    for (const { says: line } of steps) expect(line).toMatch(/^[A-Z](?!.*(undefined|\[object)).*[^.]$/);
  });

  it('the test is of what comes: words and taps of microphones, a little of what is played', () => {
    const last = (name: string) => says(name).at(-1);
    expect(last('dynamic-recorder.json')).toBe(
      'Record a few words, tap each microphone once, and play it back: the taps are to be loud',
    );
    expect(last('deck-stereo.json')).toBe('Record a little of what is played and play it back');
    expect(last('guitar-voice-tracks.json')).toBe(
      'Record a few words and a little of what is played, tap each microphone once, and play it back: the taps are to be loud',
    );
  });

  it('feeds first, goes into the tablet last, then gives phantom and turns levels', () => {
    const lines = says('condenser-tablet-charging.json');
    const [charger, lead] = [at(lines, /charger/i), at(lines, /Plug XLR lead/)];
    const [tablet, phantom, gain] = [
      at(lines, /into the .* of Tablet/),
      at(lines, /48 V to on/),
      at(lines, /to -?\d+\.\d dB/),
    ];
    expect(lines[0]).toBe('Levels down, phantom off before anything is plugged or pulled');
    expect(charger).toBe(1);
    expect(lead).toBeGreaterThan(charger);
    expect(tablet).toBeGreaterThan(lead);
    expect(phantom).toBeGreaterThan(tablet);
    expect(gain).toBeGreaterThan(phantom);
  });

  it('names plug and socket', () => {
    expect(says('pack-headset-jack.json')).toContain(
      'Plug TRS-to-TRRS patch cable (end with three dark bands) into the headset jack of Phone, CTIA headset jack',
    );
  });

  it('warns where phantom, ears, mains or radio are about, and nowhere else', () => {
    expect(cautionsFor(usual('clip-on-camera.json'))).toEqual([]);
    expect(cautionsFor(usual('condenser-tablet.json')).join()).toContain('48 V phantom');
    expect(cautionsFor(usual('pack-call-guests.json')).join()).toContain('ITU-T H.870');
    expect(cautionsFor(usual('condenser-tablet-charging.json')).join()).toContain('never defeat an earth');
  });

  it('asks callers first where another device records them, and not where nobody does', () => {
    const harbour = readRig(readFileSync('demo/rigs/harbour-call-in.json', 'utf8'));
    if (!harbour.ok) throw new Error('harbour-call-in');
    expect(cautionsFor(harbour.rig).join()).toContain('ask each of them first');
    expect(cautionsFor(usual('pack-call-guests.json')).join()).not.toContain('ask each of them first');
  });
});
