'use client';
import { standIns } from '../../core/parts';
import { nameOf } from '../../core/words';
import { laidParts, settingOf, type Rig, type RigEdit } from '../../core/rig';
import { duplicateRig } from '../../store/rigs';
import type { Command } from '../commands/commands';
import { redo, undo } from '../shared/keep-edit';
import { exportRig, keeping } from '../shared/report-trouble';
import { showRig } from '../shared/use-rigs';
import type { Folding } from './folding';
import { removeWithUndo } from './remove-rig';
import { LENSES, type LensId } from './use-lens';

const GROUP = 'This rig';

/** What can be done with the whole rig; the menu of the Bench has the same. */
export const wholeRigCommands = (rig: Rig, go: (path: string) => void): readonly Command[] => [
  {
    group: GROUP,
    says: 'Compare with another',
    run: () => go(`/compare?one=${encodeURIComponent(rig.id)}`),
  },
  { group: GROUP, says: 'Duplicate', run: () => void keeping(duplicateRig(rig).then(showRig), rig) },
  { group: GROUP, says: 'Export as a file', run: () => exportRig(rig) },
  { group: GROUP, says: 'Delete', run: () => void keeping(removeWithUndo(rig), rig) },
];

export const historyCommands = (rig: Rig): readonly Command[] => [
  { group: GROUP, says: 'Undo', key: 'undo', run: () => void undo(rig) },
  { group: GROUP, says: 'Redo', key: 'redo', run: () => void redo(rig) },
];

export const foldCommand = ({ folded, foldAll }: Folding): Command => ({
  group: GROUP,
  says: folded ? 'Open the whole ladder' : 'Fold the ladder: one line a part',
  key: 'fold',
  run: () => foldAll(!folded),
});

export const lensCommands = (choose: (lens: LensId) => void): readonly Command[] =>
  LENSES.map(({ id, name, key }) => ({ group: GROUP, says: `Look at ${name}`, key, run: () => choose(id) }));

/** Every place of every switch, but where it stands. */
export const switchCommands = (rig: Rig, edit: (change: RigEdit) => void): readonly Command[] =>
  laidParts(rig).flatMap((laid) =>
    (laid.part.settings ?? []).flatMap((setting) =>
      setting.kind === 'switch' && !standIns(laid.part).has(setting.id)
        ? setting.options
            .filter((option) => option.id !== settingOf(laid, setting.id))
            .map((option) => ({
              group: 'Switches',
              says: `${nameOf(rig, laid.placed.id)}, ${setting.name}: ${option.name}`,
              run: () => edit({ kind: 'set', part: laid.placed.id, setting: setting.id, option: option.id }),
            }))
        : [],
    ),
  );

/** What can be plugged in where. */
export const addCommands = (rig: Rig, add: (placed: string) => void): readonly Command[] =>
  rig.parts.map((placed) => ({
    group: 'Parts',
    says: `Plug something into ${nameOf(rig, placed.id)}`,
    run: () => add(placed.id),
  }));
