'use client';
import { Download, HelpCircle, PencilRuler, Plus, Upload } from 'lucide-react';
import { useRef, useState } from 'react';
import { CATALOGUE, type Part } from '../../core/parts';
import { openDemo } from '../../store/demo';
import { addOne } from '../../store/drawer';
import { dropOwnPart, keepOwnPart, restoreOwnPart } from '../../store/own-parts';
import { CURRENCIES, keepCurrency, useCurrency } from '../shared/use-currency';
import { keeping } from '../shared/report-trouble';
import { PartSearch } from '../shared/part-search';
import { Sheet } from '../shared/sheet';
import { toast } from '../shared/toast';
import { useDrawerItems } from '../shared/use-drawer';
import { useOwnPartsState } from '../shared/use-own-parts';
import { useWholeRigs } from '../shared/use-whole-rigs';
import { isOwnId } from '../../core/parts/own-part';
import { NewOwnPart } from '../own/new-own-part';
import { OwnPartDialog } from '../own/own-part-dialog';
import { exportDrawer, importDrawer } from './drawer-files';
import { DamagedParts } from './damaged-parts';
import type { DrawerEntry } from './drawer-row';
import { DrawerTable } from './drawer-table';
import { Identifier } from './identifier';

type Open = 'add' | 'identify' | 'own' | { readonly figures: Part } | undefined;

function entriesOf(
  items: ReturnType<typeof useDrawerItems>,
  parts: readonly Part[],
  rigs: ReturnType<typeof useWholeRigs>,
): DrawerEntry[] {
  const byId = new Map(parts.map((part) => [part.id, part]));
  const sound = (rigs ?? []).map(({ doc }) => doc);
  return (items ?? []).flatMap((item) => {
    const part = byId.get(item.part);
    const using = sound.filter((rig) => rig.parts.some((placed) => placed?.part === item.part));
    return part ? [{ item, part, rigs: using }] : [];
  });
}

function OwnActions({ part, change }: { part: Part; change: (part: Part) => void }) {
  if (!isOwnId(part.id)) return null;
  const drop = () =>
    dropOwnPart(part.id).then((gone) =>
      toast.say(`${part.name} is out of the drawer; rigs that use it keep it.`, {
        action: { label: 'Undo', onClick: () => gone && void keeping(restoreOwnPart(gone)) },
      }),
    );
  return (
    <p className="mt-3 flex flex-wrap gap-2">
      <button type="button" className="button" onClick={() => change(part)}>
        Change its figures
      </button>
      <button type="button" className="button text-vermilion" onClick={() => void keeping(drop())}>
        Forget this part
      </button>
    </p>
  );
}

function CurrencyChoice({ currency }: { currency: string }) {
  return (
    <label className="ml-auto flex items-center gap-2">
      Prices in
      <select
        className="field"
        value={currency}
        onChange={(event) => void keeping(keepCurrency(event.target.value))}
      >
        {CURRENCIES.map((one) => (
          <option key={one}>{one}</option>
        ))}
      </select>
    </label>
  );
}

/** The dialogs of the Drawer, one at a time. */
function Opened(props: { open: Open; parts: readonly Part[]; add: (part: Part) => void; close: () => void }) {
  const { open, parts, add, close } = props;
  if (open === undefined) return null;
  if (open === 'identify') return <Identifier parts={parts} choose={add} close={close} />;
  if (open === 'own') return <NewOwnPart kept={(part) => addOne(part.id)} close={close} />;
  if (open === 'add') {
    return (
      <Sheet title="What do you own?" open onOpenChange={(wanted) => !wanted && close()}>
        <PartSearch label="What do you own?" parts={parts} choose={add} />
      </Sheet>
    );
  }
  return (
    <OwnPartDialog
      part={open.figures}
      title={`Figures of ${open.figures.name}`}
      close={close}
      keep={(part) => {
        close();
        void keeping(keepOwnPart(part));
      }}
    />
  );
}

/** What the user owns: fixes and routes from the drawer come before those that cost money. */
export function DrawerView() {
  const [items, stored, rigs, currency] = [
    useDrawerItems(),
    useOwnPartsState(),
    useWholeRigs(),
    useCurrency(),
  ];
  const own = stored.sound;
  const [open, setOpen] = useState<Open>();
  const picker = useRef<HTMLInputElement>(null);
  const parts = [...own, ...CATALOGUE];
  const entries = entriesOf(items, parts, rigs);
  const add = (part: Part) => {
    setOpen(undefined);
    void keeping(addOne(part.id).then(() => toast.success(`${part.name} is in the drawer.`)));
  };
  return (
    <div className="mx-auto max-w-4xl px-4 py-5 lg:px-6">
      <div className="flex flex-wrap items-center gap-2">
        <h1 className="text-2xl font-bold">Drawer</h1>
        <CurrencyChoice currency={currency} />
      </div>
      <p className="text-soft mt-1">
        What you own. The Bench and Route use it before anything that must be bought.
      </p>
      <div className="mt-3 flex flex-wrap gap-2">
        <button type="button" className="button button-main" onClick={() => setOpen('add')}>
          <Plus size={16} aria-hidden /> Add what I own
        </button>
        <button type="button" className="button" onClick={() => setOpen('identify')}>
          <HelpCircle size={16} aria-hidden /> What is this thing?
        </button>
        <button type="button" className="button" onClick={() => setOpen('own')}>
          <PencilRuler size={16} aria-hidden /> A part of your own
        </button>
        <button type="button" className="button" onClick={() => picker.current?.click()}>
          <Upload size={16} aria-hidden /> From CSV
        </button>
        {entries.length > 0 && (
          <button type="button" className="button" onClick={() => exportDrawer(entries)}>
            <Download size={16} aria-hidden /> As CSV
          </button>
        )}
      </div>
      <input
        ref={picker}
        type="file"
        accept=".csv,text/csv"
        aria-label="Drawer as CSV to import"
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          if (file) void importDrawer(file, (id) => parts.some((part) => part.id === id));
          event.target.value = '';
        }}
      />
      <DamagedParts parts={stored.damaged} />
      <Opened open={open} parts={parts} add={add} close={() => setOpen(undefined)} />
      {items && entries.length === 0 && (
        <p className="mt-5">
          The drawer is empty. Add what you own, or{' '}
          <button type="button" className="button" onClick={() => void keeping(openDemo())}>
            open the Ropewalk Yard demo
          </button>
        </p>
      )}
      {entries.length > 0 && (
        <DrawerTable
          entries={entries}
          currency={currency}
          ownActions={(part) => <OwnActions part={part} change={(figures) => setOpen({ figures })} />}
        />
      )}
    </div>
  );
}
