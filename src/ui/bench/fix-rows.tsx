'use client';
import type { Finding } from '../../core/checks';
import { editsOf } from '../../core/search/fixes/fix';
import type { Fix } from '../../core/search/fixes';
import type { Rig, RigEdit } from '../../core/rig';
import { sayEdits, sayOutcome } from '../../core/words';
import { money } from '../shared/money';
import { useCurrency } from '../shared/use-currency';

interface FixRowProps {
  readonly rig: Rig;
  readonly finding: Finding;
  readonly fix: Fix;
  readonly main: boolean;
  readonly edit: (change: RigEdit | readonly RigEdit[]) => void;
  /** What else is known of it. */
  readonly beside: string | undefined;
}

function FixRow({ rig, finding, fix, main, edit, beside }: FixRowProps) {
  const edits = editsOf(fix);
  const says = sayEdits(rig, edits);
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
        onClick={() => edit(edits)}
      >
        Apply
      </button>
    </li>
  );
}

/** The proved fixes of a finding, the best first. */
export function FixRows(props: {
  rig: Rig;
  finding: Finding;
  fixes: readonly Fix[];
  edit: (change: RigEdit | readonly RigEdit[]) => void;
  beside: ((change: RigEdit) => string | undefined) | undefined;
}) {
  const { rig, finding, fixes, edit, beside } = props;
  return (
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
  );
}
