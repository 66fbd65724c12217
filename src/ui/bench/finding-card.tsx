'use client';
import type { Finding, Severity } from '../../core/checks';
import type { Fix, Fixes } from '../../core/search/fixes';
import { sayEdit, sayOutcome, sayReason, sayTitle, sayWhyNone } from '../../core/words';
import type { Rig, RigEdit } from '../../core/rig';
import { money } from '../shared/money';
import { useCurrency } from '../shared/use-currency';
import { SentenceView } from '../shared/sentence-view';

const WEIGHT: Record<Severity, { word: string; style: string }> = {
  danger: { word: 'Danger', style: 'text-vermilion' },
  blocks: { word: 'Stops it', style: 'text-vermilion' },
  spoils: { word: 'Spoils it', style: 'text-brass' },
  note: { word: 'Good to know', style: 'text-soft' },
};

interface FixRowProps {
  readonly rig: Rig;
  readonly finding: Finding;
  readonly fix: Fix;
  readonly main: boolean;
  readonly edit: (change: RigEdit) => void;
  /** What else is known of it. */
  readonly beside: string | undefined;
}

function FixRow({ rig, finding, fix, main, edit, beside }: FixRowProps) {
  const says = sayEdit(rig, fix.edit);
  const currency = useCurrency();
  const cost =
    fix.part === undefined
      ? ''
      : fix.owned
        ? 'In the drawer. '
        : `To buy, about ${money(fix.cost, currency)}. `;
  return (
    <li className="border-line bg-card flex items-center gap-3 rounded-xl border p-3">
      <span className="min-w-0 flex-1">
        <span className="block leading-snug font-semibold">{says}</span>
        <span className="text-soft block text-[0.9375rem] leading-snug">
          {cost}
          {sayOutcome(rig, fix.outcome, finding)}
          {beside !== undefined && ` ${beside}`}
        </span>
      </span>
      <button
        type="button"
        className={`button ${main ? 'button-main' : ''}`}
        aria-label={`Apply: ${says}`}
        onClick={() => edit(fix.edit)}
      >
        Apply
      </button>
    </li>
  );
}

/** One finding: what, why with its measured value and limit, where the limit comes from, and the proved fixes. */
export function FindingCard(props: {
  rig: Rig;
  finding: Finding;
  found: Fixes | undefined;
  /** What goes when this is cured. */
  consequences: readonly Finding[];
  /** Why the proving broke off. */
  trouble: string | undefined;
  edit: (change: RigEdit) => void;
  /** What else is said of each fix. */
  beside?: (change: RigEdit) => string | undefined;
}) {
  const { rig, finding, found, consequences, trouble, edit, beside } = props;
  const fixes = found?.fixes;
  const whyNone = found && sayWhyNone(finding, found);
  const { word, style } = WEIGHT[finding.severity];
  return (
    <section aria-label={sayTitle(rig, finding)} className="mt-4" data-finding={finding.code}>
      <h3 className="font-bold">
        <span className={style}>{word}:</span> {sayTitle(rig, finding)}
      </h3>
      <p className="mt-1">
        <SentenceView sentence={sayReason(rig, finding)} />
      </p>
      <p className="text-soft mt-1 text-sm">
        Limit: {finding.origin.text} ({finding.origin.kind}).
      </p>
      {consequences.length > 0 && (
        <details className="fold mt-2">
          <summary>
            <span className="font-semibold">Goes with it:</span>{' '}
            {consequences.map((one) => sayTitle(rig, one).toLowerCase()).join('; ')}
          </summary>
          {consequences.map((one, index) => (
            <p key={`${one.code} ${index}`} className="mt-1">
              <SentenceView sentence={sayReason(rig, one)} />
            </p>
          ))}
        </details>
      )}
      {fixes === undefined && <p className="text-soft mt-2 text-sm">{trouble ?? 'Proving what helps…'}</p>}
      {fixes && fixes.length > 0 && (
        <ul className="mt-2 space-y-2">
          {fixes.map((fix, index) => (
            <FixRow
              key={JSON.stringify(fix.edit)}
              rig={rig}
              finding={finding}
              fix={fix}
              main={index === 0}
              edit={edit}
              beside={beside?.(fix.edit)}
            />
          ))}
        </ul>
      )}
      {whyNone !== undefined && <p className="mt-2">{whyNone}</p>}
      {found?.cut && fixes !== undefined && fixes.length > 0 && (
        <p className="text-soft mt-1 text-sm">Not everything was tried: the time was over.</p>
      )}
    </section>
  );
}
