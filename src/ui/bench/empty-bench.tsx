'use client';
import { openDemo } from '../../store/demo';
import { addRig } from '../../store/rigs';
import { STARTER } from '../../store/starter';
import { keeping } from '../shared/report-trouble';
import { openDialog } from '../shell/dialogs';
import { showRig } from '../shared/use-rigs';

/** What a newcomer meets. */
export function EmptyBench() {
  return (
    <div className="mx-auto max-w-xl p-6 pt-16">
      <h1 className="text-3xl font-bold">No rig on the Bench yet</h1>
      <p className="mt-3">
        Lay out the lead you hold and the phone it goes into. Symplex tells what the phone will really record,
        and why, before you plug anything in.
      </p>
      <div className="mt-6 flex flex-wrap gap-3">
        <button type="button" className="button button-main" onClick={() => openDialog('start')}>
          What do you have? What is it going into?
        </button>
        <button
          type="button"
          className="button"
          onClick={() => void keeping(addRig(STARTER).then((id) => showRig(id)))}
        >
          Start with a pack, a lead and a phone
        </button>
        <button
          type="button"
          className="button"
          onClick={() => void keeping(openDemo().then((id) => id && showRig(id)))}
        >
          Open the Ropewalk Yard demo
        </button>
      </div>
      <p className="text-soft mt-4">A rig file from elsewhere can be imported, or dropped on this page.</p>
    </div>
  );
}
