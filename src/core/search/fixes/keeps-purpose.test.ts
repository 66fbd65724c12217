import { readdirSync, readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { FAINTEST } from '../../checks';
import { outcomeOf } from '../../judge';
import { applyEdit, laidParts, settingOf, type Rig, type RigEdit } from '../../rig';
import { wayOut } from '../way-out';
import { breaks } from './states';
import { editsOf, searchFixes } from '.';

const folder = (name: string): [string, Rig][] =>
  readdirSync(`demo/${name}`).map((file) => [
    file,
    JSON.parse(readFileSync(`demo/${name}/${file}`, 'utf8')) as Rig,
  ]);

/** Told from the arrivals alone: what was recorded is, each source at each recorder is there, none lower than the limit but what was lower still. */
function wrongOf(before: Rig, after: Rig): string[] {
  const [was, is] = [outcomeOf(before).arrives, outcomeOf(after).arrives];
  return was.flatMap(({ source, recorder, state, peak }) => {
    const now = is.find((one) => one.source === source && one.recorder === recorder);
    if (!now) return [`${source} is not meant for ${recorder} any more`];
    if (state === 'recorded' && now.state !== 'recorded') return [`${source} is lost`];
    const isLow = now.state === 'recorded' && now.peak < FAINTEST;
    return isLow && !(state === 'recorded' && now.peak >= peak - 6.1)
      ? [`${source} at ${now.peak} dBFS`]
      : [];
  });
}

/** Switches that an edit puts into a place in which their part does not work. */
const broken = (rig: Rig, edits: readonly RigEdit[]): RigEdit[] =>
  edits.filter((edit) => {
    const laid =
      edit.kind === 'set' ? laidParts(rig).find(({ placed }) => placed.id === edit.part) : undefined;
    return laid !== undefined && edit.kind === 'set' && breaks(laid, edit.setting, String(edit.option));
  });

function expectKept(rig: Rig): number {
  let fixes = 0;
  for (const finding of outcomeOf(rig).findings) {
    for (const fix of searchFixes(rig, finding, {}).fixes) {
      fixes += 1;
      const edits = editsOf(fix);
      const wrong = [...wrongOf(rig, edits.reduce(applyEdit, rig)), ...broken(rig, edits)];
      expect({ code: finding.code, edits, wrong }).toEqual({ code: finding.code, edits, wrong: [] });
    }
  }
  return fixes;
}

describe('a fix gives back what was wanted', () => {
  it.each(folder('rigs'))('on %s, its fixes and its way out', (_, rig) => {
    expect(expectKept(rig)).toBeGreaterThan(0);
    const { way } = wayOut(rig, {});
    if (way) expect(wrongOf(rig, way.rig)).toEqual([]);
  });

  it('on rigs of the shelf in which a switch or knob stands anywhere', { timeout: 300_000 }, () => {
    const shelf = folder('usual').map(([, rig]) => rig);
    let fixes = 0;
    fc.assert(
      fc.property(fc.constantFrom(...shelf), fc.nat(), fc.nat(), (rig, which, where) => {
        const settings = laidParts(rig).flatMap((laid) =>
          (laid.part.settings ?? []).map((setting) => ({ laid, setting })),
        );
        const one = settings[which % Math.max(1, settings.length)];
        if (!one) return;
        const { laid, setting } = one;
        const places =
          setting.kind === 'switch' ? setting.options.map(({ id }) => id) : [setting.from, setting.to];
        const option = places[where % places.length] ?? settingOf(laid, setting.id);
        if (option === undefined) return;
        fixes += expectKept(
          applyEdit(rig, { kind: 'set', part: laid.placed.id, setting: setting.id, option }),
        );
      }),
      { seed: 20261202, numRuns: 60 },
    );
    expect(fixes).toBeGreaterThan(20);
  });
});

it('a second fault has its fix though what it takes is low for another reason', () => {
  const rig = applyEdit(folder('rigs').find(([file]) => file === 'two-at-the-bench.json')![1], {
    kind: 'set',
    part: 'receiver',
    setting: 'output',
    option: 'low',
  });
  const found = outcomeOf(rig).findings;
  expect(new Set(found.map(({ code }) => code))).toEqual(new Set(['one-side-only', 'faint']));
  for (const finding of found) expect(searchFixes(rig, finding, {}).fixes).not.toEqual([]);
});

/** Common practice: what peaks far under −30 dBFS is turned up, or goes into another input. Figures by hand where they stand. */
const LOW: readonly (readonly [name: string, sketch: RigSketch, low: boolean])[] = [
  ['a mixer with its gain down, by USB', overMixer({ 'gain-1': 20 }), true],
  ['the same with its gain up', overMixer({ 'gain-1': 60 }), false],
  ['a dynamic microphone on a bare camera lead into a phone', bare('dynamic-xlr'), true],
  ['a self-powered microphone on its own lead into a phone', selfPowered(), false],
  ['an interface with its gain at nothing', onInterface(0), true],
  ['the same at 50 dB', onInterface(50), false],
];

function overMixer(mixer: Record<string, number>): RigSketch {
  return {
    parts: { mic: 'dynamic-xlr', mixer: 'mixer-fx-usb', usb: 'lead-usb-c-b', phone: 'phone-usb-c' },
    joints: ['mic.out mixer.mic-1', 'usb.b mixer.usb', 'usb.a phone.port'],
    settings: { mixer },
  };
}
function bare(mic: string): RigSketch {
  return {
    parts: { mic, lead: 'lead-xlr-trrs', phone: 'phone-ctia' },
    joints: ['mic.out lead.holes', 'lead.trrs phone.jack'],
  };
}
function selfPowered(): RigSketch {
  return { parts: { mic: 'clip-on-trrs', phone: 'phone-ctia' }, joints: ['mic.plug phone.jack'] };
}
function onInterface(gain: number): RigSketch {
  return {
    parts: { mic: 'dynamic-xlr', interface: 'interface-one-input', phone: 'phone-usb-c' },
    joints: ['mic.out interface.mic', 'interface.usb phone.port'],
    settings: { interface: { gain } },
  };
}

describe('too low is a fault, whatever knob is left', () => {
  it.each(LOW)('%s', (_, sketch, low) => {
    const rig = layRig(sketch);
    const { findings, verdict } = outcomeOf(rig);
    const faint = findings.find(({ code }) => code === 'faint');
    expect(faint !== undefined).toBe(low);
    expect(verdict).toBe(low ? 'faulty' : 'clean');
    if (!faint?.setting) return;
    const [first] = searchFixes(rig, faint, {}).fixes;
    expect(first && outcomeOf(editsOf(first).reduce(applyEdit, rig)).verdict).toBe('clean');
  });

  it('rigs of the shelf peak between −26 and −6 dBFS as they come', () => {
    for (const [file, rig] of folder('usual'))
      for (const { peak, state } of outcomeOf(rig).arrives) {
        expect([file, state]).toEqual([file, 'recorded']);
        expect(peak, file).toBeGreaterThan(-26);
        expect(peak, file).toBeLessThan(-6);
      }
  });
});
