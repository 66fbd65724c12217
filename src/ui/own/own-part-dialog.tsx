'use client';
import { useMemo, useState, type FormEvent } from 'react';
import { connectorsLike, withConnector } from '../../core/parts/own-part';
import { figuresOf, withFigure, type Figure } from '../../core/parts/model/figures';
import { type Part } from '../../core/parts';
import { checkPart } from '../../core/parts/model/check-part';
import { connectorName, type Connector } from '../../core/plugs';
import { parseFigure } from '../../core/units';
import { Sheet } from '../shared/sheet';
import { FigureField, troubleIn } from './figure-field';

interface OwnPartDialogProps {
  /** An own part already: its id and what else it has stay. */
  readonly part: Part;
  readonly title: string;
  readonly keep: (part: Part) => void;
  readonly close: () => void;
}

const keyOf = (figure: Figure): string => figure.at.join(' ');

/** Figures that name two nodes of the circuit are for those who have opened the box. */
const isInner = (figure: Figure): boolean => figure.inner === true;

/** The part with everything that was typed; figures that were not touched keep their full precision. */
function withTyped(part: Part, figures: readonly Figure[], typed: Readonly<Record<string, string>>): Part {
  return figures.reduce((changed, figure) => {
    const text = typed[keyOf(figure)];
    const parsed = text === undefined ? undefined : parseFigure(text, figure.unit);
    return parsed?.ok ? withFigure(changed, figure, parsed.value) : changed;
  }, part);
}

function Connectors({ part, change }: { part: Part; change: (port: string, connector: Connector) => void }) {
  const choices = part.ports.filter((port) => connectorsLike(port.connector).length > 1);
  return choices.map((port) => (
    <label
      key={port.id}
      className="first-letter:uppercase grid gap-x-3 sm:grid-cols-[1fr_11rem] sm:items-center"
    >
      {port.name}
      <select
        className="field"
        value={port.connector}
        onChange={(event) => change(port.id, event.target.value as Connector)}
      >
        {connectorsLike(port.connector).map((connector) => (
          <option key={connector} value={connector}>
            {connectorName(connector)} {port.gender === 'plug' ? 'plug' : 'socket'}
          </option>
        ))}
      </select>
    </label>
  ));
}

/** Name, sockets and figures of a part of the user's own; kept only when it is as sound as a shipped one. */
export function OwnPartDialog({ part: begun, title, keep, close }: OwnPartDialogProps) {
  const [part, setPart] = useState(begun);
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [refusal, setRefusal] = useState<string>();
  const figures = useMemo(() => figuresOf(begun), [begun]);
  const field = (figure: Figure) => (
    <FigureField
      key={keyOf(figure)}
      figure={figure}
      typed={typed[keyOf(figure)]}
      type={(text) => setTyped((before) => ({ ...before, [keyOf(figure)]: text }))}
    />
  );
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const bad = figures.find((figure) => troubleIn(figure, typed[keyOf(figure)]));
    if (bad) {
      setRefusal(`${bad.name}: ${troubleIn(bad, typed[keyOf(bad)])}`);
      return;
    }
    const result = checkPart(withTyped(part, figures, typed));
    if (result.ok) keep(result.part);
    else setRefusal(`${result.problem.at} ${result.problem.expected}.`);
  };
  const inner = figures.filter(isInner);
  return (
    <Sheet title={title} open onOpenChange={(open) => !open && close()}>
      <form className="flex min-h-0 flex-col gap-3" onSubmit={submit}>
        <div className="grid gap-3 overflow-y-auto p-1">
          <label className="grid gap-1">
            What you call it
            <input
              className="field"
              required
              maxLength={120}
              value={part.name}
              onChange={(event) => setPart({ ...part, name: event.target.value })}
            />
          </label>
          <label className="grid gap-1">
            How to know it again
            <input
              className="field"
              maxLength={400}
              value={part.summary}
              onChange={(event) => setPart({ ...part, summary: event.target.value })}
            />
          </label>
          <Connectors
            part={part}
            change={(port, connector) => setPart(withConnector(part, port, connector))}
          />
          <p className="text-soft text-[0.9375rem]">
            Figures are typical until you write what the label or data sheet says, in any unit: “7.9 mV/Pa”,
            “1k5”, “+4 dBu”.
          </p>
          {figures.filter((figure) => !isInner(figure)).map(field)}
          {inner.length > 0 && (
            <details className="fold">
              <summary className="font-semibold">Inside the box ({inner.length})</summary>
              <div className="mt-2 grid gap-3">{inner.map(field)}</div>
            </details>
          )}
        </div>
        {refusal && (
          <p role="alert" className="text-vermilion">
            {refusal}
          </p>
        )}
        <button type="submit" className="button button-main flex-none">
          Keep
        </button>
      </form>
    </Sheet>
  );
}
