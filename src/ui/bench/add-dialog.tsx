'use client';
import { Command } from 'cmdk';
import { useMemo, useState } from 'react';
import type { Drawer } from '../../core/search/fixes';
import { isSupply, supplySockets, type Part, type PartPort } from '../../core/parts';
import { connectorName, mate } from '../../core/plugs';
import { nameOf } from '../../core/words';
import {
  applyEdit,
  isSource,
  jointAt,
  laidParts,
  matchPorts,
  partOf,
  partsFor,
  type PortRef,
  type Rig,
  type RigEdit,
} from '../../core/rig';
import { money } from '../shared/money';
import { useCurrency } from '../shared/use-currency';
import { PartSearch } from '../shared/part-search';
import { Sheet } from '../shared/sheet';
import { Outcome, useOutcomes } from './outcomes';

interface AddDialogProps {
  readonly rig: Rig;
  readonly placed: string;
  readonly drawer: Drawer;
  readonly edit: (change: RigEdit) => void;
  /** Goes on at a part, or ends with none. */
  readonly goOn: (placed: string | undefined) => void;
}

/** Nothing follows behind it: a source, headphones, a supply. */
const isLeaf = (part: Part): boolean =>
  isSource(part) || part.ears !== undefined || part.outlets !== undefined || part.host !== undefined;

/** Where the hand goes after an edit: along a lead to its other end, from a leaf back to where it was plugged in. */
function nextPlace(rig: Rig, placed: string, change: RigEdit): string | undefined {
  if (change.kind !== 'add') return undefined;
  const grown = applyEdit(rig, change);
  const added = grown.parts.at(-1)?.id;
  const part = added === undefined ? undefined : partOf(grown, added);
  if (added === undefined || !part) return undefined;
  const next = isLeaf(part) ? placed : added;
  return freePorts(grown, next).length > 0 ? next : undefined;
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
        .filter(({ port: other, ref }) => !jointAt(rig, ref) && mate(other, port).fits)
        .map((end) => ({
          ...end,
          rank: laid.part.host ? 0 : supplySockets(laid.part).includes(end.port.id) ? 2 : 1,
        })),
    )
    .sort((a, b) => a.rank - b.rank);

/** What is likelier to be meant stands higher: what is owned, what records, what leads on. */
const rankOf = (part: Part, drawer: Drawer): number =>
  (drawer[part.id] ?? 0) > 0
    ? 0
    : part.host
      ? 1
      : part.ports.some((port) => port.direction === 'through')
        ? 2
        : isSupply(part)
          ? 4
          : 3;

/** Every part that goes onto a port, with the edit that does it. */
const fittingAt = (rig: Rig, port: PartPort, at: PortRef, drawer: Drawer) =>
  partsFor(rig)
    .flatMap((part) => {
      const [own] = matchPorts(part, [port])[0] ?? [];
      return own === undefined
        ? []
        : [{ part, edit: { kind: 'add', part: part.id, port: own, at } as const }];
    })
    .sort((a, b) => rankOf(a.part, drawer) - rankOf(b.part, drawer));

/** What can be plugged in at one port: loose ends of the rig first, then every part that fits, each with what it would change. */
function PortChoices({ rig, placed, port, drawer, edit, goOn }: AddDialogProps & { port: PartPort }) {
  const currency = useCurrency();
  const at = useMemo(() => ({ part: placed, port: port.id }), [placed, port]);
  const loose = useMemo(
    () =>
      looseEnds(rig, placed, port).map((end) => ({
        ...end,
        edit: { kind: 'join', a: at, b: end.ref } as const,
      })),
    [rig, placed, port, at],
  );
  const fitting = useMemo(() => fittingAt(rig, port, at, drawer), [rig, port, at, drawer]);
  const edits = useMemo(() => [...loose, ...fitting].map((one) => one.edit), [loose, fitting]);
  const outcomes = useOutcomes(rig, edits);
  const apply = (change: RigEdit) => {
    edit(change);
    goOn(nextPlace(rig, placed, change));
  };
  const placeOf = (part: Part) => fitting.findIndex((one) => one.part === part);
  return (
    <PartSearch
      label={`Parts that fit the ${port.name}`}
      parts={fitting.map((one) => one.part)}
      choose={(part) => {
        const chosen = fitting[placeOf(part)];
        if (chosen) apply(chosen.edit);
      }}
      about={(part) => (
        <>
          {part.summary}.{' '}
          {(drawer[part.id] ?? 0) > 0 ? 'In the drawer.' : `About ${money(part.price, currency)}.`}
          <Outcome rig={rig} option={outcomes[loose.length + placeOf(part)]} />
        </>
      )}
    >
      {loose.map((end, index) => (
        <Command.Item
          key={`${end.ref.part} ${end.ref.port}`}
          value={`${end.ref.part} ${end.ref.port}`}
          className="option"
          onSelect={() => apply(end.edit)}
        >
          <span className="block font-semibold">
            {nameOf(rig, end.ref.part)}: {end.port.name}
          </span>
          <span className="text-soft block">is in this rig already, and free</span>
          <Outcome rig={rig} option={outcomes[index]} />
        </Command.Item>
      ))}
    </PartSearch>
  );
}

/** Plugs something into a free port of a part. */
export function AddDialog(props: AddDialogProps) {
  const { rig, placed, goOn } = props;
  const free = freePorts(rig, placed);
  const [chosen, setChosen] = useState(free[0]?.id);
  const port = free.find((p) => p.id === chosen) ?? free[0];
  return (
    <Sheet title={`Plug into ${nameOf(rig, placed)}`} open onOpenChange={(open) => !open && goOn(undefined)}>
      {!port && partOf(rig, placed) && <p>Every port of it is in use.</p>}
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
