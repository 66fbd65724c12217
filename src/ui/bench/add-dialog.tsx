'use client';
import { Command } from 'cmdk';
import { useEffect, useMemo, useState } from 'react';
import type { Drawer, Option } from '../../core/fixes';
import { CATALOGUE, type Part, type PartPort } from '../../core/parts';
import { connectorName, mate } from '../../core/plugs';
import { nameOf, sayOutcome } from '../../core/report';
import { jointAt, laidParts, matchPorts, partOf, type PortRef, type Rig, type RigEdit } from '../../core/rig';
import { getProver } from '../../workers/engine';
import { CURRENCY, money } from '../shared/money';
import { PartSearch } from '../shared/part-search';
import { Sheet } from '../shared/sheet';
import { VERDICT_SIGN } from '../shared/verdict-sign';

interface AddDialogProps {
  readonly rig: Rig;
  readonly placed: string;
  readonly drawer: Drawer;
  readonly edit: (change: RigEdit) => void;
  readonly close: () => void;
}

const freePorts = (rig: Rig, placed: string): PartPort[] =>
  (partOf(rig, placed)?.ports ?? []).filter((port) => !jointAt(rig, { part: placed, port: port.id }));

/** Free ports of other parts that this one goes together with. */
const looseEnds = (rig: Rig, placed: string, port: PartPort): { ref: PortRef; port: PartPort }[] =>
  laidParts(rig)
    .filter((laid) => laid.placed.id !== placed)
    .flatMap((laid) =>
      laid.part.ports
        .map((other) => ({ port: other, ref: { part: laid.placed.id, port: other.id } }))
        .filter(({ port: other, ref }) => !jointAt(rig, ref) && mate(other, port).fits),
    );

/** What each part would do here, by part; filled in as the prover answers. */
function useOutcomes(rig: Rig, edits: readonly RigEdit[]): ReadonlyMap<string, Option> {
  const [found, setFound] = useState<{ of: readonly RigEdit[]; options: ReadonlyMap<string, Option> }>();
  useEffect(() => {
    let current = true;
    void getProver()
      .outcomes(rig, edits)
      .then((list) => {
        const options = new Map(
          list.flatMap((option) => (option.part ? [[option.part, option] as const] : [])),
        );
        if (current) setFound({ of: edits, options });
      });
    return () => {
      current = false;
    };
  }, [rig, edits]);
  return found?.of === edits ? found.options : new Map();
}

function Outcome({ rig, option }: { rig: Rig; option: Option | undefined }) {
  if (!option) return null;
  const { Icon, word, text } = VERDICT_SIGN[option.outcome.verdict];
  return (
    <span className={`flex items-start gap-1 text-sm ${text}`}>
      <Icon size={16} aria-hidden className="mt-0.5 flex-none" /> {word}. {sayOutcome(rig, option.outcome)}
    </span>
  );
}

/** What can be plugged in at one port: loose ends of the rig first, then every part that fits, each with what it would change. */
function PortChoices({ rig, placed, port, drawer, edit, close }: AddDialogProps & { port: PartPort }) {
  const at = useMemo(() => ({ part: placed, port: port.id }), [placed, port]);
  const fitting = useMemo(
    () =>
      CATALOGUE.flatMap((part) => {
        const [own] = matchPorts(part, [port])[0] ?? [];
        return own === undefined
          ? []
          : [{ part, edit: { kind: 'add', part: part.id, port: own, at } as const }];
      }).sort((a, b) => Number((drawer[b.part.id] ?? 0) > 0) - Number((drawer[a.part.id] ?? 0) > 0)),
    [port, at, drawer],
  );
  const edits = useMemo(() => fitting.map((f) => f.edit), [fitting]);
  const outcomes = useOutcomes(rig, edits);
  const apply = (change: RigEdit) => {
    close();
    edit(change);
  };
  const about = (part: Part) => (
    <>
      {part.summary}.{' '}
      {(drawer[part.id] ?? 0) > 0 ? 'In the drawer.' : `About ${money(part.price, CURRENCY)}.`}
      <Outcome rig={rig} option={outcomes.get(part.id)} />
    </>
  );
  return (
    <PartSearch
      label={`Parts that fit the ${port.name}`}
      parts={fitting.map((f) => f.part)}
      choose={(part) => {
        const chosen = fitting.find((f) => f.part === part);
        if (chosen) apply(chosen.edit);
      }}
      about={about}
    >
      {looseEnds(rig, placed, port).map((end) => (
        <Command.Item
          key={`${end.ref.part} ${end.ref.port}`}
          value={`${end.ref.part} ${end.ref.port}`}
          className="option"
          onSelect={() => apply({ kind: 'join', a: at, b: end.ref })}
        >
          <span className="block font-semibold">
            {nameOf(rig, end.ref.part)}: {end.port.name}
          </span>
          <span className="text-soft block">is in this rig already, and free</span>
        </Command.Item>
      ))}
    </PartSearch>
  );
}

/** Plugs something into a free port of a part. */
export function AddDialog(props: AddDialogProps) {
  const { rig, placed, close } = props;
  const free = freePorts(rig, placed);
  const [chosen, setChosen] = useState(free[0]?.id);
  const port = free.find((p) => p.id === chosen) ?? free[0];
  return (
    <Sheet title={`Plug into ${nameOf(rig, placed)}`} open onOpenChange={(open) => !open && close()}>
      {!port && <p>Every port of it is in use.</p>}
      {free.length > 1 && port && (
        <label className="mb-2 flex flex-wrap items-center gap-2">
          At
          <select className="field" value={port.id} onChange={(event) => setChosen(event.target.value)}>
            {free.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name} ({connectorName(p.connector)} {p.gender === 'plug' ? 'plug' : 'socket'})
              </option>
            ))}
          </select>
        </label>
      )}
      {port && <PortChoices key={port.id} {...props} port={port} />}
    </Sheet>
  );
}
