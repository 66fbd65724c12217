'use client';
import { ArrowLeftRight, Ellipsis, Plus, RefreshCw } from 'lucide-react';
import { useState } from 'react';
import type { Drawer } from '../../core/search/fixes';
import { isTurnable } from '../../core/parts';
import type { Analysis } from '../../core/judge';
import { nameOf, rungReading } from '../../core/words';
import { isSpoken, isFree, partOf, type LaidPart, type Rig } from '../../core/rig';
import { LazyMenu } from '../shared/lazy-menu';
import { AppField } from './app-field';
import type { Editing } from './editing';
import { DistanceField } from './distance-field';
import { PartIcon } from './part-icon';
import { Settings } from './settings';
import { VoiceField } from './voice-field';
import { lazily } from '../shared/lazily';

const PartMenu = lazily(() => import('./part-menu').then((m) => m.PartMenu));
const SwapDialog = lazily(() => import('./swap-dialog').then((m) => m.SwapDialog));
const PlacedFigures = lazily(() => import('../own/placed-figures').then((m) => m.PlacedFigures));
const NoteDialog = lazily(() => import('./note-dialog').then((m) => m.NoteDialog));

interface RungCardProps extends Editing {
  readonly rig: Rig;
  readonly placed: string;
  readonly analysis: Analysis;
  readonly drawer: Drawer;
  /** Back to one line; absent where the ladder is not folded. */
  readonly fold?: () => void;
}

/** What it is, under its name: "Phone, CTIA headset jack: …" when the user has a name of their own for it. */
function describe({ placed, part }: LaidPart): string {
  const metres = placed.length ?? part.length ?? 0;
  const length = metres >= 1 ? `, ${metres} m` : metres > 0 ? `, ${Math.round(metres * 100)} cm` : '';
  return `${placed.label ? `${part.name}: ` : ''}${part.summary}${length}`;
}

/** One part of the ladder: what it is, its knobs, what is measured on it, and the way to another part. */
export function RungCard({ rig, placed, analysis, drawer, edit, preview, add, fold }: RungCardProps) {
  const part = partOf(rig, placed);
  const [open, setOpen] = useState<'note' | 'figures'>();
  const placedPart = rig.parts.find((p) => p.id === placed);
  if (!part || !placedPart) return null;
  const laid = { placed: placedPart, part };
  const reading = rungReading(rig, analysis, placed);
  const isSource = rig.purpose.sources.includes(placed);
  // Into a recorder's own microphone somebody speaks too; into a guitar nobody does.
  const hasMouth = isSource ? isSpoken(part) : rig.purpose.recorders.includes(placed);
  return (
    <article
      aria-label={nameOf(rig, placed)}
      className="rung border-line bg-card grid grid-cols-[auto_minmax(0,1fr)] items-start gap-x-3 gap-y-2 rounded-xl border p-3 sm:grid-cols-[auto_minmax(0,1fr)_auto]"
    >
      {fold ? (
        <button
          type="button"
          className="button -m-1 p-1"
          aria-expanded
          aria-label={`Fold ${nameOf(rig, placed)}`}
          onClick={fold}
        >
          <PartIcon family={part.family} />
        </button>
      ) : (
        <PartIcon family={part.family} />
      )}
      <div>
        <h2 className="text-lg leading-tight font-bold">{nameOf(rig, placed)}</h2>
        <p className="text-soft mt-0.5 leading-snug">{describe(laid)}</p>
        {placedPart.note && <p className="mt-0.5 leading-snug whitespace-pre-line">{placedPart.note}</p>}
      </div>
      {reading && (
        <p className="font-mono text-xs leading-snug max-sm:col-start-2 sm:text-right">
          <span className="text-[0.95rem] max-sm:mr-2 sm:block">{reading.main}</span>
          <span className="text-soft">{reading.sub}</span>
        </p>
      )}
      <div className="col-start-2 flex flex-wrap items-center gap-x-2 gap-y-1.5 sm:col-end-4">
        <Settings laid={laid} edit={edit} preview={preview} />
        <AppField laid={laid} analysis={analysis} edit={edit} />
        {isSource && isSpoken(part) && <VoiceField rig={rig} edit={edit} />}
        {hasMouth && <DistanceField rig={rig} laid={laid} edit={edit} />}
        {isTurnable(part) && (
          <button type="button" className="button" onClick={() => edit({ kind: 'turn', part: placed })}>
            <RefreshCw size={16} aria-hidden /> Turn round
          </button>
        )}
        <LazyMenu
          content={
            <>
              <ArrowLeftRight size={16} aria-hidden /> Swap
              <span className="sr-only"> {nameOf(rig, placed)}</span>
            </>
          }
        >
          <SwapDialog rig={rig} placed={placed} drawer={drawer} edit={edit} />
        </LazyMenu>
        {part.ports.some((port) => isFree(rig, { part: placed, port: port.id })) && (
          <button type="button" className="button" onClick={() => add(placed)}>
            <Plus size={16} aria-hidden /> Add
            <span className="sr-only"> at {nameOf(rig, placed)}</span>
          </button>
        )}
        <LazyMenu label={`More for ${nameOf(rig, placed)}`} content={<Ellipsis size={16} aria-hidden />}>
          <PartMenu
            rig={rig}
            placed={placed}
            edit={edit}
            write={() => setOpen('note')}
            figures={() => setOpen('figures')}
          />
        </LazyMenu>
        {open === 'figures' && <PlacedFigures laid={laid} edit={edit} close={() => setOpen(undefined)} />}
        {open === 'note' && (
          <NoteDialog rig={rig} placed={placed} edit={edit} close={() => setOpen(undefined)} />
        )}
      </div>
    </article>
  );
}
