'use client';
import { Copy } from 'lucide-react';
import { useState } from 'react';
import { troubleWith, type Calculator, type Result, type Values } from '../../core/calculators';
import { formatFigure, formatOhms, formatQuantity, formatVolts, parseFigure } from '../../core/units';
import { FigureRow } from '../shared/figure-row';
import { toast } from '../shared/toast';

/** A result as it is read: ohms and volts with their prefixes, others with as many figures as mean something. */
export function sayResult({ value, unit }: Result): string {
  if (Number.isNaN(value)) return 'no resistors do this';
  if (unit === 'ohm') return formatOhms(value);
  if (unit === 'V')
    return value !== 0 && Math.abs(value) < 0.001
      ? `${Number((value * 1e6).toPrecision(3))} µV`
      : formatVolts(value);
  if (unit.startsWith('dB')) return formatQuantity(value, unit);
  return Number.isFinite(value) ? `${Number(value.toPrecision(4))} ${unit}` : `∞ ${unit}`;
}

interface Read {
  readonly values: Values;
  /** By field: what is wrong with what was typed. */
  readonly trouble: ReadonlyMap<string, string>;
}

function readFields(calculator: Calculator, filled: Values, typed: Readonly<Record<string, string>>): Read {
  const trouble = new Map<string, string>();
  const entries = calculator.fields.map(({ id, unit, initial }) => {
    const text = typed[id];
    if (text === undefined) return [id, filled[id] ?? initial] as const;
    const parsed = parseFigure(text, unit);
    if (!parsed.ok) trouble.set(id, parsed.says);
    return [id, parsed.ok ? parsed.value : NaN] as const;
  });
  const values = Object.fromEntries(entries);
  const found = trouble.size === 0 ? troubleWith(calculator, values) : undefined;
  if (found) trouble.set(found.field, found.says);
  return { values, trouble };
}

/** Everything that came out, with what went in, as lines of text. */
const asText = (calculator: Calculator, values: Values, results: readonly Result[]): string =>
  [
    calculator.name,
    ...calculator.fields.map(({ id, name, unit }) => `${name}: ${formatFigure(values[id] ?? NaN, unit)}`),
    ...results.map((one) => `${one.name}: ${sayResult(one)}`),
    calculator.formula,
  ].join('\n');

interface CalculatorCardProps {
  readonly calculator: Calculator;
  readonly filled: Values;
  readonly begun: boolean;
}

/** One calculator: what is asked, what comes out, by which formula, from where. */
export function CalculatorCard({ calculator, filled, begun }: CalculatorCardProps) {
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const { values, trouble } = readFields(calculator, filled, typed);
  const results = trouble.size === 0 ? calculator.compute(values) : [];
  const copy = () =>
    void navigator.clipboard
      .writeText(asText(calculator, values, results))
      .then(() => toast.success('Copied'))
      .catch(() => toast.error('The browser does not let the page copy'));
  return (
    <details
      open={begun}
      data-calculator={calculator.id}
      className="border-line bg-card rounded-xl border p-3"
    >
      <summary className="cursor-pointer font-bold">{calculator.name}</summary>
      <div className="mt-2 grid gap-1.5">
        {calculator.fields.map((field) => (
          <FigureRow
            key={field.id}
            id={`${calculator.id}-${field.id}`}
            name={field.name}
            text={typed[field.id] ?? formatFigure(filled[field.id] ?? field.initial, field.unit)}
            trouble={trouble.get(field.id)}
            type={(text) => setTyped((before) => ({ ...before, [field.id]: text }))}
          />
        ))}
      </div>
      <dl className="border-line mt-3 grid grid-cols-[1fr_auto] gap-x-4 border-t pt-2" aria-live="polite">
        {results.map((one) => (
          <div key={`${one.name} ${one.unit}`} className="contents">
            <dt className="text-soft">{one.name}</dt>
            <dd className="text-right font-mono text-sm">{sayResult(one)}</dd>
          </div>
        ))}
      </dl>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <button type="button" className="button" disabled={results.length === 0} onClick={copy}>
          <Copy size={16} aria-hidden /> Copy as text
        </button>
        <p className="text-soft min-w-0 flex-1 text-sm max-sm:basis-full">
          {calculator.formula}. {calculator.source}.
        </p>
      </div>
    </details>
  );
}
