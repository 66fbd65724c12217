'use client';
import { useState } from 'react';
import { findApp, type Way } from '../../core/apps';
import { selectInput, wayOf, type Arrival } from '../../core/engine/flow';
import type { Analysis } from '../../core/judge';
import { laidParts, partOf, type PolicyNote, type Rig, type RigEdit } from '../../core/rig';
import { keepPolicy } from '../../store/policies';
import { keeping } from '../shared/report-trouble';

const today = (): string => new Date().toISOString().slice(0, 10);

const GRADES: readonly (readonly [PolicyNote['kind'], string])[] = [
  ['tested by you', 'I tested it'],
  ['common practice', 'people who did say so'],
  ['claimed', 'the box says so'],
];

/** By which way what is offered comes to the app of a recorder. */
function wayAt(rig: Rig, analysis: Analysis, arrival: Arrival): Way {
  const host = laidParts(rig).find((laid) => laid.placed.id === arrival.recorder);
  const offered =
    host &&
    selectInput(
      host,
      analysis.inputs.filter((i) => i.host === arrival.recorder),
    );
  return offered ? wayOf(offered) : 'headset';
}

interface PolicyFormProps {
  readonly rig: Rig;
  readonly arrival: Arrival;
  readonly analysis: Analysis;
  readonly edit: (change: RigEdit) => void;
}

/** On what the verdict rests, and the place to write down what a test showed: with a date, for this kind of device. */
export function PolicyForm({ rig, arrival, analysis, edit }: PolicyFormProps) {
  const app = findApp(arrival.app);
  const host = partOf(rig, arrival.recorder);
  const [takes, setTakes] = useState('yes');
  const [kind, setKind] = useState<PolicyNote['kind']>('tested by you');
  const [date, setDate] = useState(today);
  const [onlyHere, setOnlyHere] = useState(true);
  if (!app || !host) return null;
  const way = wayAt(rig, analysis, arrival);
  const keep = () => {
    const policy: PolicyNote = {
      app: app.id,
      ...(onlyHere && { host: host.id }),
      way,
      takes: takes === 'yes',
      kind,
      date: date || today(),
    };
    edit({ kind: 'policy', policy });
    void keeping(keepPolicy(policy), rig);
  };
  return (
    <details className="fold mt-1 text-sm">
      <summary className="text-soft">
        What the {app.name} does: {arrival.evidence.kind}, {arrival.evidence.date}. Did you test it?
      </summary>
      <form
        className="border-line bg-card mt-1 grid gap-2 rounded-xl border p-3"
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        <label className="flex items-center justify-between gap-2">
          {way === 'usb' ? 'USB sound' : 'A headset'} in this app
          <select className="field" value={takes} onChange={(event) => setTakes(event.target.value)}>
            <option value="yes">works</option>
            <option value="no">does not work</option>
          </select>
        </label>
        <label className="flex items-center justify-between gap-2">
          How do you know
          <select
            className="field"
            value={kind}
            onChange={(event) => {
              const grade = GRADES.find(([id]) => id === event.target.value);
              if (grade) setKind(grade[0]);
            }}
          >
            {GRADES.map(([id, name]) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <label className="flex items-center justify-between gap-2">
          Since
          <input
            type="date"
            className="field"
            value={date}
            onChange={(event) => setDate(event.target.value)}
          />
        </label>
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={onlyHere}
            onChange={(event) => setOnlyHere(event.target.checked)}
          />
          only on this kind of device ({host.name})
        </label>
        <button type="submit" className="button">
          Write it down
        </button>
      </form>
    </details>
  );
}
