import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { layRig } from '../../../../testing/lay-rig';
import { checkRig } from '../../files/read-rig';
import { CATALOGUE } from '../../parts';
import { applyEdit, laidParts, swapEdits, type Rig, type RigEdit } from '../../rig';
import { allFacts } from '../../engine';
import { outcomeOf } from '../../judge';
import { moves } from './at-hand';
import { candidatesFor } from './candidates';
import { additions } from './with-parts';

const folder = (name: string): [string, Rig][] =>
  readdirSync(`demo/${name}`).map((file) => [
    file,
    JSON.parse(readFileSync(`demo/${name}/${file}`, 'utf8')) as Rig,
  ]);

/** Output into input of one box, by a lead and by nothing. */
const LOOPED: [string, Rig][] = [
  [
    'a mixer whose output is led into one of its inputs',
    layRig({
      parts: {
        mic: 'dynamic-xlr',
        mixer: 'mixer-monitor-fx',
        loop: 'lead-jack-trs',
        recorder: 'recorder-line',
      },
      joints: ['mic.out mixer.mic-1', 'loop.a mixer.main-left', 'loop.b mixer.pair-1-left'],
    }),
  ],
  [
    'a lead with one end in the other',
    layRig({
      parts: { mic: 'dynamic-xlr', lead: 'lead-xlr', recorder: 'recorder-xlr' },
      joints: ['lead.holes lead.pins'],
    }),
  ],
];

/** Everything that lists and fixes may offer at the parts of a rig, and for what is found. */
function* offered(rig: Rig): Generator<RigEdit> {
  for (const laid of laidParts(rig)) {
    yield* moves(rig, laid);
    yield* additions(rig, laid, () => true);
    for (const part of CATALOGUE) yield* swapEdits(rig, laid.placed.id, part);
  }
  const [facts] = allFacts(rig);
  for (const finding of outcomeOf(rig).findings) {
    const { named, atHand, knobs, parts } = candidatesFor(facts, finding);
    yield* [...named, ...atHand, ...knobs.flatMap(({ ends }) => ends), ...parts];
  }
}

describe('what is offered gives a rig that is read back', () => {
  it.each([...folder('rigs'), ...folder('usual'), ...LOOPED])('%s', { timeout: 120_000 }, (_, rig) => {
    let tried = 0;
    for (const edit of offered(rig)) {
      tried += 1;
      const result = checkRig(applyEdit(rig, edit));
      if (!result.ok) expect({ edit, problem: result.problem }).toEqual({ edit, problem: undefined });
    }
    expect(tried).toBeGreaterThan(30);
  });
});
