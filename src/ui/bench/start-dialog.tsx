'use client';
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
        <PartSearch
          key="have"
          label="What do you have?"
          parts={parts.filter(isSource)}
          rank={rankOfSource}
          choose={setHave}
        />
      )}
    </Sheet>
  );
}
