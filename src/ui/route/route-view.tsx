'use client';
import { Search, Square } from 'lucide-react';
import { useMemo } from 'react';
import { CATALOGUE } from '../../core/parts';
import type { Plan, RouteRequest } from '../../core/search/route';
import { lazily } from '../shared/lazily';
import { useCurrency } from '../shared/use-currency';
import { useDrawer, useLeadLengths } from '../shared/use-drawer';
import { useOwnParts } from '../shared/use-own-parts';
import { usePolicies } from '../shared/use-policies';
import { RequestForm } from './request-form';
import { LONGER_SECONDS, Results } from './results';
import { planSoFar, usePlan, type Planning } from './use-plan';
import { useQuestion, type Question } from './use-request';
import { WishFields } from './wish-fields';

/** A name for the rig that a way becomes. */
function nameOf(question: Question, names: ReadonlyMap<string, string>): string {
  const said = (list: readonly { part: string }[]) =>
    list.map(({ part }) => names.get(part) ?? part).join(', ');
  return `${said(question.sources)} to ${said(question.destinations)}`.slice(0, 120);
}

/** Nothing is asked yet. */
const isEmpty = ({ sources, destinations }: Question): boolean =>
  sources.length === 0 && destinations.length === 0;

/** The answer, or what is known of it. */
function shownOf(planning: Planning): { plan: Plan; request: RouteRequest } | undefined {
  switch (planning.state) {
    case 'done':
      return planning;
    case 'stopped':
      return planning.plan.routes.length > 0 ? planning : undefined;
    case 'searching':
      return planning.routes.length > 0 ? { ...planning, plan: planSoFar(planning) } : undefined;
    case 'idle':
    case 'failed':
      return undefined;
  }
}

const Examples = lazily(() => import('./examples').then((m) => m.Examples));

/** "This mic, that phone, that app": the question as a sentence, and the ways that answer it. */
export function RouteView() {
  const [question, change] = useQuestion();
  const { planning, ask, stop } = usePlan();
  const lengths = useLeadLengths();
  const [drawer, own, policies, currency] = [useDrawer(), useOwnParts(), usePolicies(), useCurrency()];
  const parts = useMemo(() => {
    const all = [...own, ...CATALOGUE];
    return all.sort((a, b) => Number((drawer[b.id] ?? 0) > 0) - Number((drawer[a.id] ?? 0) > 0));
  }, [own, drawer]);
  if (!question) return <p className="text-soft p-6">Opening…</p>;
  const shown = shownOf(planning);
  const ready = question.sources.length > 0 && question.destinations.length > 0;
  const begin = () => {
    const names = new Map(parts.map((part) => [part.id, part.name]));
    const known = Object.entries(drawer).filter(([id]) => names.has(id));
    const request: RouteRequest = {
      format: 'symplex-request',
      version: 1,
      name: nameOf(question, names),
      ...question,
      drawer: Object.fromEntries(known),
      ...(Object.keys(lengths).length > 0 && { leadLengths: lengths }),
      ...(own.length > 0 && { ownParts: own }),
      ...(policies.length > 0 && { policies }),
    };
    ask(request);
  };
  return (
    <div className="mx-auto max-w-4xl px-4 py-5 lg:px-6">
      <h1 className="text-2xl font-bold">Route</h1>
      <p className="text-soft mt-1 mb-4">
        What you have, what it goes into, what you wish: the chain for it, from your drawer first, proved
        before you plug anything in.
      </p>
      <RequestForm question={question} change={change} parts={parts} currency={currency} />
      {isEmpty(question) && <Examples ask={change} />}
      <WishFields question={question} change={change} parts={parts} currency={currency} />
      <div className="my-4 flex flex-wrap items-center gap-3">
        {planning.state === 'searching' ? (
          <button type="button" className="button" onClick={stop}>
            <Square size={16} aria-hidden /> Stop
          </button>
        ) : (
          <button type="button" className="button button-main min-h-11" disabled={!ready} onClick={begin}>
            <Search size={18} aria-hidden /> Find the ways
          </button>
        )}
        <p role="status" className="text-soft">
          {planning.state === 'searching' && `Tried so far: ${planning.judged.toLocaleString('en')}…`}
          {planning.state === 'failed' && planning.says}
          {planning.state === 'stopped' && 'Stopped. Nothing goes on behind.'}
          {planning.state !== 'searching' && !ready && 'Say what is to be recorded, and what records it.'}
        </p>
      </div>
      {shown && (
        <Results
          plan={shown.plan}
          request={shown.request}
          currency={currency}
          looking={planning.state === 'searching'}
          longer={() => ask(shown.request, { milliseconds: LONGER_SECONDS * 1000, plan: shown.plan })}
        />
      )}
    </div>
  );
}
