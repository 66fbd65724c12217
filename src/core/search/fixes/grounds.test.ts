import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { bareOutcomeFrom } from '../../judge';
import { allFacts } from '../../engine';
import { checkOf } from '../../checks';
import { readRig } from '../../files/read-rig';
import { findPart } from '../../parts';
import { applyEdit, laidParts, type Rig, type RigEdit } from '../../rig';
import { layRig, type RigSketch } from '../../../../testing/lay-rig';
import { hallBy } from '../../../../testing/power-rigs';
import { cures } from '.';
import { leavesGrounds } from './grounds';
import { silencesRoom } from './silenced';
import { inserts, swaps } from './with-parts';

const insert = (part: string): RigEdit => ({ kind: 'insert', joint: 'j1', part, ports: ['a', 'b'] });
const twoOnMains = (lead: string): Rig =>
  layRig({
    parts: { mixer: 'mixer-xlr-main', lead, speaker: 'speaker-powered' },
    joints: [],
  });

describe('what leaves grounds joined as they were', () => {
  const rig = twoOnMains('lead-jack-ts');
  const swap = (to: string): RigEdit => ({ kind: 'swap', part: 'lead', to, ports: ['a', 'b'] });

  it.each(['extension-trs', 'lead-usb-c-extension', 'lead-xlr', 'pad-jack-40', 'splitter-trrs'])(
    '%s in between does',
    (part) => {
      expect(findPart(part)).toBeDefined();
      expect(leavesGrounds(rig, insert(part))).toBe(true);
    },
  );

  it.each(['isolator-trs', 'isolator-jack', 'isolator-usb', 'di-passive', 'headphone-amplifier'])(
    '%s may not',
    (part) => {
      expect(findPart(part)).toBeDefined();
      expect(leavesGrounds(rig, insert(part))).toBe(false);
    },
  );

  it('a lead with one leg in the place of another does, one with two may make it balanced', () => {
    expect(leavesGrounds(rig, swap('lead-jack-rca'))).toBe(true);
    expect(leavesGrounds(rig, swap('lead-jack-trs'))).toBe(false);
    expect(leavesGrounds(twoOnMains('lead-jack-trs'), swap('lead-jack-ts'))).toBe(true);
  });

  it('no other change is left out by it', () => {
    expect(leavesGrounds(rig, { kind: 'remove', part: 'lead' })).toBe(false);
  });
});

const FOLDERS = ['demo/rigs', 'demo/usual'];

const yard = FOLDERS.flatMap((folder) =>
  readdirSync(folder).map((file): [string, Rig] => {
    const read = readRig(readFileSync(`${folder}/${file}`, 'utf8'));
    if (!read.ok) throw new Error(file);
    return [file, read.rig];
  }),
);

/** A mixer and a computer, both on the mains, and sound between them. */
const desk: RigSketch = {
  parts: {
    mic: 'dynamic-xlr',
    xlr: 'lead-xlr',
    mixer: 'mixer-monitor-fx',
    pad: 'lead-line-headset-pad',
    laptop: 'laptop-combo',
  },
  joints: ['mic.out xlr.holes', 'xlr.pins mixer.mic-1', 'pad.big mixer.main-left', 'pad.trrs laptop.jack'],
  source: 'mic',
  recorder: 'laptop',
  settings: { mixer: { 'gain-1': 40 }, laptop: { fed: 'earthed' } },
};

/** Every rig of the yard that hums, or may, and some more. */
const humming = [
  ...yard,
  ['a loudspeaker on the mains', layRig(hallBy('lead-jack-ts'))] as const,
  ['a computer on the mains', layRig(desk)] as const,
].flatMap(([name, rig]) => {
  const before = bareOutcomeFrom(allFacts(rig));
  const found = before.findings.filter(({ code }) => checkOf(code)?.cures.includes('parting'));
  return found.map((finding) => ({ name: `${name}, ${finding.code}`, rig, before, finding }));
});

describe('held against trying', () => {
  it('there is something that hums', () => expect(humming.length).toBeGreaterThanOrEqual(3));

  it.each(humming)('$name: nothing that is left out would have cured', { timeout: 120_000 }, (one) => {
    const { rig, before, finding } = one;
    const [now] = allFacts(rig);
    const placed = new Set(laidParts(rig).map(({ placed: { id } }) => id));
    const links = [...laidParts(rig).flatMap((laid) => swaps(rig, laid)), ...inserts(rig, placed)];
    const leftOut = links.filter((edit) => leavesGrounds(rig, edit));
    expect(leftOut.length).toBeGreaterThan(10);
    const cured = leftOut.filter((edit) => {
      const facts = allFacts(applyEdit(rig, edit));
      // A loudspeaker to which nothing leads any more does not hum, and plays nothing.
      return cures(before, bareOutcomeFrom(facts), finding) && !silencesRoom([finding], now, facts[0]);
    });
    expect(cured).toEqual([]);
  });
});
