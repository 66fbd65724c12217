'use client';
import { ArrowLeftRight, X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useEffect, useState } from 'react';
import type { Drawer, Option } from '../../core/search/fixes';
import { verdictRank } from '../../core/judge/verdict';
import { nameOf, sayChoice, sayOutcome } from '../../core/words';
import { partIn, type Rig, type RigEdit } from '../../core/rig';
import { getProver } from '../../workers/engine';
import { money } from '../shared/money';
import { useCurrency } from '../shared/use-currency';
import { sayThreadTrouble } from '../shared/thread-trouble';
import { VERDICT_SIGN } from '../shared/verdict-sign';

/** What fits, with what it would do; why not where the engine broke off; undefined while it works. */
function useOptions(rig: Rig, placed: string, open: boolean): Option[] | string | undefined {
  const [options, setOptions] = useState<{ of: Rig; list: Option[] | string }>();
  useEffect(() => {
    if (!open) return undefined;
    let current = true;
    void getProver()
      .options(rig, placed)
      .then(
        (list) => current && setOptions({ of: rig, list }),
        (error: unknown) => current && setOptions({ of: rig, list: sayThreadTrouble(error) }),
      );
    return () => {
      current = false;
    };
  }, [rig, placed, open]);
  if (options?.of !== rig || typeof options.list === 'string')
    return options?.of === rig ? options.list : undefined;
  return [...options.list].sort((a, b) => verdictRank(a.outcome.verdict) - verdictRank(b.outcome.verdict));
}

/** The sockets by which a part would stand there: what tells its ways apart. */
function socketsOf(rig: Rig, { part, edit }: Option): string {
  if (edit.kind !== 'swap' || part === undefined) return '';
  const ports = partIn(rig, part)?.ports ?? [];
  return ` By ${edit.ports.map((id) => ports.find((port) => port.id === id)?.name ?? id).join(' and ')}.`;
}

interface OptionRowProps {
  readonly rig: Rig;
  readonly option: Option;
  readonly drawer: Drawer;
  /** The same part stands in the list in another way. */
  readonly several: boolean;
  readonly choose: () => void;
}

function OptionRow({ rig, option, drawer, several, choose }: OptionRowProps) {
  const currency = useCurrency();
  const part = option.part === undefined ? undefined : partIn(rig, option.part);
  const { Icon, word, text } = VERDICT_SIGN[option.outcome.verdict];
  const cost =
    part && ((drawer[part.id] ?? 0) > 0 ? 'In the drawer' : `About ${money(part.price, currency)}`);
  return (
    <button
      type="button"
      onClick={choose}
      className="border-line bg-card flex min-h-11 w-full items-start gap-3 rounded-xl border p-3 text-left hover:border-[var(--sea)]"
    >
      <span className={`flex w-28 flex-none items-center gap-1.5 text-sm font-semibold ${text}`}>
        <Icon size={18} aria-hidden /> {word}
      </span>
      <span className="min-w-0 flex-1">
        <span className="block font-semibold">{sayChoice(rig, option.edit)}</span>
        <span className="text-soft block">
          {sayOutcome(rig, option.outcome)}
          {several && socketsOf(rig, option)}
          {cost ? ` ${cost}.` : ''}
          {option.untried !== undefined &&
            ` It could be plugged in ${option.untried} further ways, which were not tried.`}
        </span>
      </span>
    </button>
  );
}

/** What else fits in the place of a part, and where else its leads could go, each with what would come of it. */
export function SwapDialog(props: { rig: Rig; placed: string; drawer: Drawer; edit: (c: RigEdit) => void }) {
  const { rig, placed, drawer, edit } = props;
  const [open, setOpen] = useState(true);
  const options = useOptions(rig, placed, open);
  const choose = (option: Option) => {
    setOpen(false);
    edit(option.edit);
  };
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="button">
        <ArrowLeftRight size={16} aria-hidden /> Swap
        <span className="sr-only"> {nameOf(rig, placed)}</span>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-10 bg-black/50" />
        <Dialog.Content
          aria-describedby={undefined}
          className="bg-panel text-ink fixed inset-x-0 bottom-0 z-20 flex max-h-[85dvh] flex-col rounded-t-2xl p-4 sm:inset-x-auto sm:top-1/2 sm:bottom-auto sm:left-1/2 sm:w-[36rem] sm:-translate-1/2 sm:rounded-2xl"
        >
          <div className="mb-3 flex items-center gap-2">
            <Dialog.Title className="mr-auto text-xl font-bold">
              Instead of {nameOf(rig, placed)}
            </Dialog.Title>
            <Dialog.Close className="button">
              <X size={18} aria-hidden /> Close
            </Dialog.Close>
          </div>
          {options === undefined && <p className="text-soft">Trying what fits…</p>}
          {typeof options === 'string' && <p role="alert">{options}</p>}
          {options?.length === 0 && <p>Nothing else in the catalogue fits at these joints.</p>}
          <ul className="space-y-2 overflow-y-auto">
            {typeof options === 'object' &&
              options.map((option) => (
                <li key={JSON.stringify(option.edit)}>
                  <OptionRow
                    rig={rig}
                    option={option}
                    drawer={drawer}
                    several={options.some((one) => one !== option && one.part === option.part)}
                    choose={() => choose(option)}
                  />
                </li>
              ))}
          </ul>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
