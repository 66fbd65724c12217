'use client';
import type { Finding, Severity } from '../../core/checks';
import type { Fixes } from '../../core/search/fixes';
import { sayReason, sayTitle } from '../../core/words';
import type { Rig, RigEdit } from '../../core/rig';
import { lazily } from '../shared/lazily';
import { SentenceView } from '../shared/sentence-view';

const FixRows = lazily(() => import('./fix-rows').then((m) => m.FixRows));
const WhyNone = lazily(() => import('./why-none').then((m) => m.WhyNone));

const WEIGHT: Record<Severity, { word: string; style: string }> = {
  danger: { word: 'Danger', style: 'text-vermilion' },
  blocks: { word: 'Stops it', style: 'text-vermilion' },
  spoils: { word: 'Spoils it', style: 'text-brass' },
  note: { word: 'Good to know', style: 'text-soft' },
};

/** One finding: what, why with its measured value and limit, where the limit comes from, and the proved fixes. */
export function FindingCard(props: {
  rig: Rig;
  finding: Finding;
  found: Fixes | undefined;
  /** What goes when this is cured. */
  consequences: readonly Finding[];
  /** Why the proving broke off. */
  trouble: string | undefined;
  edit: (change: RigEdit | readonly RigEdit[]) => void;
  /** What else is said of each fix. */
  beside?: (change: RigEdit) => string | undefined;
}) {
  const { rig, finding, found, consequences, trouble, edit, beside } = props;
  const fixes = found?.fixes;
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
        <FixRows rig={rig} finding={finding} fixes={fixes} edit={edit} beside={beside} />
      )}
      {found?.fixes.length === 0 && <WhyNone finding={finding} found={found} />}
      {found?.cut && fixes !== undefined && fixes.length > 0 && (
        <p className="text-soft mt-1 text-sm">Not everything was tried: the time was over.</p>
      )}
    </section>
  );
}
