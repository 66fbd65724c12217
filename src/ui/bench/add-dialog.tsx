'use client';
import { Command } from 'cmdk';
import { useMemo, useState } from 'react';
import type { Drawer } from '../../core/search/fixes';
import {
  isSupply,
  isWiring,
  isWornToListen,
  supplySockets,
  type Part,
  type PartPort,
} from '../../core/parts';
import { connectorName, mate } from '../../core/plugs';
import { nameOf } from '../../core/words';
import {
  applyEdit,
  isSource,
  isFree,
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
  (partOf(rig, placed)?.ports ?? []).filter((port) => isFree(rig, { part: placed, port: port.id }));

/** Free ports of other parts that this one goes together with. */
const looseEnds = (rig: Rig, placed: string, port: PartPort): { ref: PortRef; port: PartPort }[] =>
  laidParts(rig)
    .filter((laid) => laid.placed.id !== placed)
    .flatMap((laid) =>
      laid.part.ports
        .map((other) => ({ port: other, ref: { part: laid.placed.id, port: other.id } }))
        .filter(({ port: other, ref }) => isFree(rig, ref) && mate(other, port).fits)
        .map((end) => ({
          ...end,
          rank: laid.part.host ? 0 : supplySockets(laid.part).includes(end.port.id) ? 2 : 1,
        })),
    )
    .sort((a, b) => a.rank - b.rank);

/** Owned things stand before all that would be bought. */
const NOT_OWNED = 10;

/** What is likelier to be meant at a port stands higher: into a microphone socket nobody plugs headphones first. */
function rankOf(part: Part, port: PartPort, isSupplied: boolean): number {
  if (isSupply(part)) return isSupplied ? 0 : 7;
  if (isWornToListen(part)) return port.direction === 'out' ? 1 : 8;
  if (isWiring(part)) return 2;
  const brings = isSource(part);
  if (part.host) return port.direction === 'in' ? 6 : 1;
  if (brings) return port.direction === 'out' ? 6 : 1;
  return 4;
}

/** Ranks what could be plugged into a port of a part, by the drawer too. */
function rankAt(rig: Rig, placed: string, port: PartPort, drawer: Drawer): (part: Part) => number {
  const host = partOf(rig, placed);
  const isSupplied = host !== undefined && supplySockets(host).includes(port.id);
  return (part) => rankOf(part, port, isSupplied) + ((drawer[part.id] ?? 0) > 0 ? 0 : NOT_OWNED);
}

/** Every part that goes onto a port, with the edit that does it. */
const fittingAt = (rig: Rig, port: PartPort, at: PortRef, rank: (part: Part) => number) =>
  partsFor(rig)
    .flatMap((part) => {
      const [own] = matchPorts(part, [port])[0] ?? [];
      return own === undefined
        ? []
        : [{ part, edit: { kind: 'add', part: part.id, port: own, at } as const }];
    })
    .sort((a, b) => rank(a.part) - rank(b.part));

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
  const rank = useMemo(() => rankAt(rig, placed, port, drawer), [rig, placed, port, drawer]);
  const fitting = useMemo(() => fittingAt(rig, port, at, rank), [rig, port, at, rank]);
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
      rank={rank}
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
