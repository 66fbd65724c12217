import type { Finding } from '../../checks';
import type { Facts } from '../../engine';
import type { Part } from '../../parts';
import type { RigEdit } from '../../rig';
import { bearsOn } from './bears-on';
import { switchesFor } from './switches';

type Throw = Extract<RigEdit, { kind: 'set' }>;

/** The places of a switch, by which one is known for the like of another. */
function placesOf(part: Part | undefined, id: string): string | undefined {
  const setting = part?.settings?.find((one) => one.id === id);
  return setting?.kind === 'switch' ? setting.options.map((option) => option.id).join() : undefined;
}

/**
 * Where two sources are to be told apart: a switch of the one and the like of it of the other, of one part, thrown to different places. One
 * alone cures nothing: two channels are panned to either side. Where the one stands on a side for good, the other is led away from it.
 */
export function twinThrows(facts: Facts, finding: Finding): readonly (readonly Throw[])[] {
  const { rig, laid } = facts;
  const { source, other, ...rest } = finding;
  if (source === undefined || other === undefined) return [];
  const all = switchesFor(rig, finding).filter((edit) => edit.kind === 'set');
  const bearing = (of: string): Throw[] => all.filter(bearsOn(facts, { ...rest, source: of }));
  const [ofSource, ofOther] = [bearing(source), bearing(other)];
  const [one, two] = [
    ofSource.filter((edit) => !ofOther.includes(edit)),
    ofOther.filter((edit) => !ofSource.includes(edit)),
  ];
  const places = ({ part, setting }: Throw) => placesOf(laid.get(part)?.part, setting);
  const both = one.flatMap((a) =>
    two
      .filter((b) => a.part === b.part && a.option !== b.option && places(a) === places(b))
      .map((b) => [a, b]),
  );
  return both.length > 0 ? both : two.map((b) => [b]);
}
