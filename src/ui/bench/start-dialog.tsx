'use client';
import { Tabs } from 'radix-ui';
import { useState } from 'react';
import { CATALOGUE, type Part } from '../../core/parts';
import { applyEdit, isSource, withOwnParts, withUsedParts, type Rig } from '../../core/rig';
import { addRig } from '../../store/rigs';
import { PartSearch } from '../shared/part-search';
import { askToAdd } from './asked-add';
import { keeping } from '../shared/report-trouble';
import { Sheet } from '../shared/sheet';
import { useOwnParts } from '../shared/use-own-parts';
import { showRig } from '../shared/use-rigs';
import { UsualShelf } from './usual-shelf';

const EMPTY: Rig = {
  format: 'symplex-rig',
  version: 1,
  id: 'new-rig',
  name: 'New rig',
  parts: [],
  joints: [],
  surroundings: { voice: 'normal' },
  purpose: { sources: [], recorders: [] },
};

/** What hands its sound on by a plug or socket stands before what wants a receiver first. */
const rankOfSource = (part: Part): number =>
  part.ports.some((port) => port.direction !== 'in' && port.connector !== 'radio') ? 0 : 1;

/** Two questions, then a rig with what was answered; the leads between follow on the Bench. */
export function StartDialog({ close }: { close: () => void }) {
  const [have, setHave] = useState<Part>();
  const own = useOwnParts();
  const parts = [...own, ...CATALOGUE];
  const begin = (source: Part, recorder: Part) => {
    const laid = [source, recorder].reduce(
      (r, part) => applyEdit(r, { kind: 'place', part: part.id }),
      withOwnParts(EMPTY, own),
    );
    const rig = withUsedParts(laid);
    const name = `${source.name} to ${recorder.name.charAt(0).toLowerCase()}${recorder.name.slice(1)}`;
    close();
    askToAdd(rig.parts[0]?.id);
    void keeping(addRig({ ...rig, name: name.slice(0, 120) }).then((id) => showRig(id)));
  };
  const take = (rig: Rig) => {
    close();
    void keeping(addRig(rig).then((id) => showRig(id)));
  };
  return (
    <Sheet
      title={have ? 'What is it going into?' : 'What do you have?'}
      open
      onOpenChange={(open) => !open && close()}
    >
      {have ? (
        <>
          <p className="mb-2">
            {have.name}{' '}
            <button type="button" className="button ml-2" onClick={() => setHave(undefined)}>
              Another
            </button>
          </p>
          <PartSearch
            key="into"
            label="What is it going into?"
            parts={parts.filter((part) => part.host)}
            choose={(part) => begin(have, part)}
          />
        </>
      ) : (
        <Tabs.Root defaultValue="have" className="flex min-h-0 flex-1 flex-col">
          <Tabs.List aria-label="How to begin" className="mb-3 flex gap-2">
            <Tabs.Trigger value="have" className="button tab flex-1">
              From what you have
            </Tabs.Trigger>
            <Tabs.Trigger value="usual" className="button tab flex-1">
              A usual rig
            </Tabs.Trigger>
          </Tabs.List>
          <Tabs.Content value="have" className="flex min-h-0 flex-1 flex-col">
            <PartSearch
              key="have"
              label="What do you have?"
              parts={parts.filter(isSource)}
              rank={rankOfSource}
              choose={setHave}
            />
          </Tabs.Content>
          <Tabs.Content value="usual" className="flex min-h-0 flex-1 flex-col">
            <UsualShelf choose={take} />
          </Tabs.Content>
        </Tabs.Root>
      )}
    </Sheet>
  );
}
