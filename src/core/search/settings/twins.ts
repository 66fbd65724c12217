import type { Finding } from '../../checks';
import type { Facts } from '../../engine';
import type { Part } from '../../parts';
import type { RigEdit } from '../../rig';
import { bearsOn, moves } from './bears-on';
import { allThrows, switchesFor, type Throw } from './switches';

/** The places of a switch, by which one is known for the like of another. */
function placesOf(part: Part | undefined, id: string): string | undefined {
  const setting = part?.settings?.find((one) => one.id === id);
  return setting?.kind === 'switch' ? setting.options.map((option) => option.id).join() : undefined;
}

type Bearing = (edit: RigEdit) => boolean;

/** A throw of what bears on the one of two sounds alone with a throw of the like of it, to another place, that bears on the other alone. */
function inPairs({ laid }: Facts, all: readonly Throw[], [one, other]: readonly [Bearing, Bearing]) {
  const [ofOne, ofOther] = [
    all.filter((edit) => one(edit) && !other(edit)),
    all.filter((edit) => other(edit) && !one(edit)),
  ];
  const places = ({ part, setting }: Throw) => placesOf(laid.get(part)?.part, setting);
  const both = ofOne.flatMap((a) =>
    ofOther
      .filter((b) => a.part === b.part && a.option !== b.option && places(a) === places(b))
      .map((b): readonly Throw[] => [a, b]),
  );
  return { both, ofOther };
}

/**
 * Where two sources are to be told apart: a switch of the one and the like of it of the other, of one part, thrown to different places. One
 * alone cures nothing: two channels are panned to either side. Where the one stands on a side for good, the other is led away from it.
 */
export function twinThrows(facts: Facts, finding: Finding): readonly (readonly Throw[])[] {
  const { source, other, ...rest } = finding;
  if (source === undefined || other === undefined) return [];
  const all = switchesFor(facts.rig, finding).filter((edit) => edit.kind === 'set');
  const bearing = (of: string): Bearing => bearsOn(facts, { ...rest, source: of });
  const { both, ofOther } = inPairs(facts, all, [bearing(source), bearing(other)]);
  return both.length > 0 ? both : ofOther.map((b) => [b]);
}

/** Where the two sounds of a source are to stand on a side each: the same of the channels that they come in by. */
export function sideThrows(facts: Facts, source: string): readonly (readonly Throw[])[] {
  const sounds = facts.voices.filter(({ placed }) => placed === source).map(({ id }) => id);
  const [left, right, ...more] = sounds;
  if (left === undefined || right === undefined || more.length > 0) return [];
  return inPairs(facts, allThrows(facts.rig), [moves(facts, [left]), moves(facts, [right])]).both;
}
