'use client';
import { Command } from 'cmdk';
import { useRouter } from 'next/navigation';
import { nameOf } from '../../core/report';
import { laidParts, settingOf, type Rig } from '../../core/rig';
import type { RigRecord } from '../../store/database';
import { duplicateRig, editRig, redoRig, undoRig } from '../../store/rigs';
import { removeWithUndo } from '../bench/remove-rig';
import { exportRig, keeping } from '../shared/report-trouble';
import { Sheet } from '../shared/sheet';
import { showRig } from '../shared/use-rigs';
import { clickNamed } from './click-named';

interface PaletteProps {
  readonly rigs: readonly RigRecord[];
  readonly current: RigRecord | undefined;
  readonly close: () => void;
  readonly start: () => void;
  readonly help: () => void;
}

interface Entry {
  readonly group: string;
  readonly says: string;
  readonly keys?: string;
  readonly run: () => void;
}

/** Every place of every switch, but where it stands. */
const switchEntries = (rig: Rig): Entry[] =>
  laidParts(rig).flatMap((laid) =>
    (laid.part.settings ?? []).flatMap((setting) =>
      setting.kind === 'switch'
        ? setting.options
            .filter((option) => option.id !== settingOf(laid, setting.id))
            .map((option) => ({
              group: 'Switches',
              says: `${nameOf(rig, laid.placed.id)}, ${setting.name}: ${option.name}`,
              run: () =>
                void keeping(
                  editRig(rig.id, {
                    kind: 'set',
                    part: laid.placed.id,
                    setting: setting.id,
                    option: option.id,
                  }),
                  rig,
                ),
            }))
        : [],
    ),
  );

function entriesOf(props: PaletteProps, go: (path: string) => void): Entry[] {
  const { rigs, current, start, help } = props;
  const rig = current?.doc;
  const onRig: Entry[] = rig
    ? [
        { group: 'This rig', says: 'Undo', keys: 'Ctrl Z', run: () => void keeping(undoRig(rig.id), rig) },
        {
          group: 'This rig',
          says: 'Redo',
          keys: 'Ctrl Shift Z',
          run: () => void keeping(redoRig(rig.id), rig),
        },
        {
          group: 'This rig',
          says: 'Apply the first fix',
          run: () => clickNamed('Apply: '),
        },
        {
          group: 'This rig',
          says: 'Duplicate',
          run: () =>
            void keeping(
              duplicateRig(rig).then((id) => showRig(id)),
              rig,
            ),
        },
        { group: 'This rig', says: 'Export as a file', run: () => exportRig(rig) },
        { group: 'This rig', says: 'Compare with another', run: () => go(`/compare?one=${rig.id}`) },
        { group: 'This rig', says: 'Delete', run: () => void keeping(removeWithUndo(rig), rig) },
        ...switchEntries(rig),
        ...rig.parts.map((placed) => ({
          group: 'Parts',
          says: `Plug something into ${nameOf(rig, placed.id)}`,
          run: () => clickNamed(`Add at ${nameOf(rig, placed.id)}`),
        })),
      ]
    : [];
  return [
    { group: 'Begin', says: 'New rig: what do you have?', run: start },
    ...onRig,
    ...rigs.map(({ id, doc }) => ({
      group: 'Rigs',
      says: doc.name,
      run: () => go(`/?rig=${encodeURIComponent(id)}`),
    })),
    { group: 'Views', says: 'Bench', run: () => go(rig ? `/?rig=${rig.id}` : '/') },
    { group: 'Views', says: 'Route: find the chain', run: () => go('/route') },
    { group: 'Views', says: 'Drawer', run: () => go('/drawer') },
    { group: 'Views', says: 'Compare', run: () => go('/compare') },
    { group: 'Views', says: 'Keyboard shortcuts', keys: '?', run: help },
  ];
}

/** Everything that can be done here, by its name. */
export function Palette(props: PaletteProps) {
  const router = useRouter();
  const entries = entriesOf(props, (path) => router.push(path));
  const groups = [...new Set(entries.map((entry) => entry.group))];
  return (
    <Sheet title="What next?" open onOpenChange={(open) => !open && props.close()}>
      <Command label="Commands" className="flex min-h-0 flex-1 flex-col">
        <Command.Input autoFocus placeholder="A command, a rig or a part" className="field w-full" />
        <Command.List className="mt-2 min-h-0 flex-1 overflow-y-auto">
          <Command.Empty className="text-soft p-3">Nothing is called that here.</Command.Empty>
          {groups.map((group) => (
            <Command.Group key={group} heading={group} className="text-soft text-sm">
              {entries
                .filter((entry) => entry.group === group)
                .map((entry) => (
                  <Command.Item
                    key={entry.says}
                    value={`${group} ${entry.says}`}
                    className="option text-ink flex items-center gap-3 text-base"
                    onSelect={() => {
                      props.close();
                      entry.run();
                    }}
                  >
                    <span className="mr-auto">{entry.says}</span>
                    {entry.keys && <kbd className="figure">{entry.keys}</kbd>}
                  </Command.Item>
                ))}
            </Command.Group>
          ))}
        </Command.List>
      </Command>
    </Sheet>
  );
}
