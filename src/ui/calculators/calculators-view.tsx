'use client';
import { useSyncExternalStore } from 'react';
import { CALCULATORS, type Values } from '../../core/calculators';
import { CalculatorCard } from './calculator-card';

const nothing = () => () => undefined;

/** What the address fills in: `?open=pad&loss=28`. */
function filledIn(search: string): { readonly open: string | null; readonly values: Values } {
  const asked = new URLSearchParams(search);
  const values = [...asked].flatMap(([name, text]) => {
    const value = Number(text);
    return name !== 'open' && text !== '' && Number.isFinite(value) ? [[name, value] as const] : [];
  });
  return { open: asked.get('open'), values: Object.fromEntries(values) };
}

/** The calculators, each usable alone; one that a stage of the Bench asked for is open and filled in. */
export function CalculatorsView() {
  const search = useSyncExternalStore(
    nothing,
    () => window.location.search,
    () => undefined,
  );
  if (search === undefined) return <p className="text-soft p-6">Opening the calculators…</p>;
  const { open, values } = filledIn(search);
  return (
    <main data-ready className="mx-auto max-w-3xl px-3 py-4 lg:px-6">
      <h1 className="text-2xl font-bold">Calculators</h1>
      <p className="text-soft mt-1">
        Figures in any unit that means the same: “+4 dBu”, “1.2 V”, “1k5”. On the Bench, a stage of{' '}
        <em>Levels</em> opens them filled in.
      </p>
      <div className="mt-4 grid gap-2">
        {CALCULATORS.map((calculator) => (
          <CalculatorCard
            key={calculator.id}
            calculator={calculator}
            filled={calculator.id === open ? values : {}}
            begun={calculator.id === open || (open === null && calculator === CALCULATORS[0])}
          />
        ))}
      </div>
    </main>
  );
}
