import { describe, expect, it } from 'vitest';
import { figuresOf, withFigure } from '../parts/model/figures';
import { findPart } from '../parts';
import { ownCopy } from '../parts/own-part';
import { analyse } from '../judge';
import { layRig } from '../../../testing/lay-rig';
import { applyEdit, partsFor, withOwnParts, withUsedParts } from '.';
import { writeRig } from '../files';
import { checkRig, readRig } from '../files/read-rig';

const rig = layRig({
  parts: { receiver: 'receiver-trs', lead: 'patch-trs-trrs', phone: 'phone-ctia' },
  joints: ['receiver.out lead.trs', 'lead.trrs phone.jack'],
});
const shipped = findPart('receiver-trs')!;
/** The receiver of the rig, 6 dB more sensitive at every place of its switch. */
const louder = figuresOf(shipped)
  .filter((figure) => figure.name.startsWith('Sensitivity'))
  .reduce(
    (part, figure) => withFigure(part, figure, figure.value + 6),
    ownCopy(shipped, 'Loud pack', new Set()),
  );

describe('a rig with a part of the user’s own', () => {
  const own = applyEdit(rig, { kind: 'own', part: 'receiver', as: louder });

  it('is judged with its figures: 6 dB more at the source is 6 dB more at the recorder', () => {
    const peak = (r: typeof rig) => analyse(r).arrives[0]?.peak ?? NaN;
    expect(peak(own) - peak(rig)).toBeCloseTo(6, 6);
  });

  it('carries the part in its file and reads it back', () => {
    const result = readRig(writeRig(own));
    expect(result).toMatchObject({ ok: true });
    expect(result.ok && analyse(result.rig).arrives[0]?.peak).toBeCloseTo(
      analyse(own).arrives[0]?.peak ?? NaN,
      9,
    );
  });

  it('is refused without the part, and with one that is unsound', () => {
    const { ownParts: _gone, ...without } = own;
    expect(checkRig(without)).toMatchObject({ problem: { code: 'unknown-part', at: '/parts/0/part' } });
    const [part] = own.ownParts!;
    const bent = { ...own, ownParts: [{ ...part, paths: [{ from: 'x', to: 'y', gain: [] }] }] };
    expect(checkRig(bent)).toMatchObject({ problem: { code: 'malformed', at: '/ownParts/0/paths/0/from' } });
    expect(checkRig({ ...own, ownParts: [part, part] })).toMatchObject({ problem: { code: 'id-twice' } });
    const posing = { ...own, ownParts: [{ ...part, id: 'phone-ctia' }] };
    expect(checkRig(posing)).toMatchObject({ problem: { code: 'malformed', at: '/ownParts/0/id' } });
  });

  it('changes its figures again under the same id, and the shipped part stands for others', () => {
    const quieter = withFigure(
      louder,
      figuresOf(louder).find((f) => f.name === 'Price, about')!,
      1,
    );
    const again = applyEdit(own, { kind: 'own', part: 'receiver', as: quieter });
    expect(again.ownParts).toEqual([quieter]);
    expect(applyEdit(rig, { kind: 'own', part: 'nobody', as: louder })).toBe(rig);
  });
});

describe('own parts at hand', () => {
  it('can be laid out where they are known, and only what is used stays in the file', () => {
    const known = withOwnParts(rig, [louder]);
    expect(partsFor(known).at(-1)).toBe(louder);
    expect(withUsedParts(known)).toEqual(rig);
    const swapped = applyEdit(known, { kind: 'swap', part: 'receiver', to: louder.id, ports: ['out'] });
    expect(withUsedParts(swapped).ownParts).toEqual([louder]);
    expect(withOwnParts(swapped, [{ ...louder, price: 1 }])).toBe(swapped);
  });
});
