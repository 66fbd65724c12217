'use client';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import type { Explanation, Reading } from '../../core/diagnosis';
import type { Rig } from '../../core/rig';
import type { Measures } from '../../core/signal/measure';
import { sayEdit } from '../../core/words/say-edit';
import { nameOf } from '../../core/words/words';
import { explainTake } from '../../workers/takes';
import { sayThreadTrouble } from '../shared/thread-trouble';
import { comparedRows } from './measure-rows';

/** So many explanations are shown, and so many changes of one. */
const [SHOWN, CHANGES] = [3, 3];
/** From here on the take is not what the rig, changed by one thing, would give. Our own. */
const FAR = 14;

function useReading(rig: Rig | undefined, recorder: string | undefined, measures: Measures) {
  const [state, setState] = useState<{ of: unknown; reading?: Reading; trouble?: string }>();
  useEffect(() => {
    if (!rig || recorder === undefined) return undefined;
    let current = true;
    explainTake(rig, recorder, measures).then(
      (reading) => current && setState({ of: measures, reading }),
      (error: unknown) => current && setState({ of: measures, trouble: sayThreadTrouble(error) }),
    );
    return () => {
      current = false;
    };
  }, [rig, recorder, measures]);
  return state?.of === measures ? state : undefined;
}

/** The Bench, at the part or joint that is meant. */
function benchAt(rig: Rig, { edits: [edit] }: Explanation): string {
  const joint = edit?.kind === 'unplug' ? rig.joints.find(({ id }) => id === edit.joint) : undefined;
  const part = joint?.plug.part ?? (edit && 'part' in edit ? edit.part : undefined);
  return `/?rig=${encodeURIComponent(rig.id)}${part === undefined ? '' : `#${encodeURIComponent(part)}`}`;
}

function ExplanationItem({ rig, explanation }: { rig: Rig; explanation: Explanation }) {
  const { edits } = explanation;
  const far = explanation.distance > FAR ? ' It lies far from this, though.' : '';
  if (edits.length === 0) return <li className="py-1">The rig as it is laid out.{far}</li>;
  const more = edits.length - CHANGES;
  return (
    <li className="py-1">
      As if somebody had:{' '}
      {edits
        .slice(0, CHANGES)
        .map((edit) => sayEdit(rig, edit))
        .join(' · or: ')}
      {more > 0 && ` · or one of ${more} other things that a take cannot tell apart`}.{far}{' '}
      <Link className="text-sea underline" href={benchAt(rig, explanation)}>
        See it on the Bench
      </Link>
    </li>
  );
}

/** What the rig predicts beside what was measured, and what would explain the take. */
export function Explanations(props: {
  rig: Rig | undefined;
  recorder: string | undefined;
  measures: Measures;
}) {
  const { rig, recorder, measures } = props;
  const state = useReading(rig, recorder, measures);
  if (!rig || recorder === undefined) {
    return (
      <p className="text-soft mt-4">Choose a rig above, and the take is held against what it predicts.</p>
    );
  }
  if (state?.trouble !== undefined)
    return (
      <p role="alert" className="text-vermilion mt-4">
        {state.trouble}
      </p>
    );
  const reading = state?.reading;
  if (!reading) return <p className="text-soft mt-4">Comparing with {rig.name}…</p>;
  return (
    <section
      aria-label="Against the rig"
      className="border-line bg-card mt-4 rounded-xl border p-4"
      data-compared
    >
      <h3 className="font-bold">
        Against {rig.name}, {nameOf(rig, recorder)}
      </h3>
      <table className="mt-1 w-full">
        <thead className="text-soft text-left text-sm">
          <tr>
            <th scope="col" className="font-semibold">
              <span className="sr-only">Measure</span>
            </th>
            <th scope="col" className="font-semibold">
              Predicted
            </th>
            <th scope="col" className="font-semibold">
              Measured
            </th>
          </tr>
        </thead>
        <tbody>
          {comparedRows(reading.predicted, reading.measured).map((row) => (
            <tr key={row.name} className="border-line border-t">
              <th scope="row" className="py-1 pr-2 text-left font-normal">
                {row.name}
              </th>
              <td className="py-1 pr-2">{row.predicted}</td>
              <td className={`py-1 ${row.predicted === row.measured ? '' : 'font-semibold'}`}>
                {row.measured}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <h4 className="mt-3 font-semibold">What explains it, nearest first</h4>
      <ol className="list-decimal pl-5" aria-label="Explanations">
        {reading.explanations.slice(0, SHOWN).map((explanation, i) => (
          <ExplanationItem key={i} rig={rig} explanation={explanation} />
        ))}
      </ol>
      <p className="text-soft mt-1 text-sm">
        {reading.tried} single settings, choices and joints were tried. A room adds noise that the gear alone
        does not have.
      </p>
    </section>
  );
}
