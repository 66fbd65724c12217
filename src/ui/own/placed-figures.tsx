'use client';
import { isOwnId, ownCopy } from '../../core/parts/own-part';
import { type Part } from '../../core/parts';
import type { LaidPart, RigEdit } from '../../core/rig';
import { keepOwnPart } from '../../store/own-parts';
import { keeping } from '../shared/report-trouble';
import { useOwnParts } from '../shared/use-own-parts';
import { OwnPartDialog } from './own-part-dialog';

interface PlacedFiguresProps {
  readonly laid: LaidPart;
  readonly edit: (change: RigEdit) => void;
  readonly close: () => void;
}

/** The figures of a part on the Bench: of a shipped one a copy is made, of an own one the figures here change. */
export function PlacedFigures({ laid: { placed, part }, edit, close }: PlacedFiguresProps) {
  const own = useOwnParts();
  const isOwn = isOwnId(part.id);
  const taken = new Set(own.map((known) => known.id));
  const keep = (changed: Part) => {
    const kept = isOwn ? changed : ownCopy(changed, changed.name, taken);
    close();
    void keeping(keepOwnPart(kept));
    edit({ kind: 'own', part: placed.id, as: kept });
  };
  return (
    <OwnPartDialog
      part={isOwn ? part : ownCopy(part, placed.label ?? `${part.name}, mine`, taken)}
      title={isOwn ? `Figures of ${part.name}` : `A copy of ${part.name}`}
      keep={keep}
      close={close}
    />
  );
}
