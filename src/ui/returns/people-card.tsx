'use client';
import { useState } from 'react';
import type { PersonStands } from '../../core/engine/air';
import {
  LIMITS,
  peopleOf,
  type Person,
  type PersonSaid,
  type Rig,
  spokenInto,
  wornBy,
  type RigEdit,
} from '../../core/rig';
import { nameOf } from '../../core/words/words';
import { PlaceFields } from './place-fields';

interface PeopleCardProps {
  readonly rig: Rig;
  readonly stands: readonly PersonStands[];
  readonly edit: (change: RigEdit) => void;
}

interface ChoiceProps {
  readonly rig: Rig;
  readonly label: string;
  readonly none: string;
  readonly value: string | undefined;
  readonly ids: readonly string[];
  readonly choose: (id: string | undefined) => void;
}

function PartChoice({ rig, label, none, value, ids, choose }: ChoiceProps) {
  return (
    <label className="mt-1 flex flex-wrap items-center gap-2">
      {label}
      <select
        className="field max-w-full min-w-0"
        value={value ?? ''}
        onChange={(event) => choose(event.target.value || undefined)}
      >
        <option value="">{none}</option>
        {ids.map((id) => (
          <option key={id} value={id}>
            {nameOf(rig, id)}
          </option>
        ))}
      </select>
    </label>
  );
}

function PersonRow({ rig, person, stands, edit }: PeopleCardProps & { readonly person: Person }) {
  // What is said anew, and no more: what was said a moment ago may not be drawn yet.
  const say = (anew: Omit<PersonSaid, 'id'>) => edit({ kind: 'person', person: { id: person.id, ...anew } });
  return (
    <li className="border-line border-t py-2 first:border-t-0" data-person={person.id}>
      <div className="flex items-center justify-between gap-2">
        <span className="font-semibold">{person.name}</span>
        <button
          type="button"
          className="button"
          aria-label={`${person.name} leaves the room`}
          onClick={() => edit({ kind: 'leave', person: person.id })}
        >
          Leaves
        </button>
      </div>
      <PartChoice
        rig={rig}
        label="speaks into"
        none="no microphone of their own"
        value={person.microphone}
        ids={spokenInto(rig)}
        choose={(id) => say({ microphone: id ?? null })}
      />
      <PartChoice
        rig={rig}
        label="listens with"
        none="nothing on the ears"
        value={person.wears}
        ids={wornBy(rig)}
        choose={(id) => say({ wears: id ?? null })}
      />
      {stands.map(({ part, is, standing }) => (
        <div key={part} className="mt-2">
          <p>
            to {nameOf(rig, part)}
            {!standing.said && <span className="text-soft"> (taken for granted)</span>}
          </p>
          <PlaceFields
            label={`${person.name} to ${nameOf(rig, part)}`}
            metres={standing.metres}
            {...(is === 'speaks' && { degrees: standing.degrees })}
            put={(change) => say({ places: [{ part, ...change }] })}
          />
        </div>
      ))}
    </li>
  );
}

/** Who is in the room: what each speaks into and wears, and how far from the microphones of the others. */
export function PeopleCard({ rig, stands, edit }: PeopleCardProps) {
  const [name, setName] = useState('');
  const people = peopleOf(rig);
  const full = people.length >= LIMITS.people;
  return (
    <section aria-label="Who is in the room" className="border-line bg-card mt-4 rounded-xl border p-3">
      <h3 className="font-bold">Who is in the room</h3>
      {people.length === 0 && (
        <p className="text-soft mt-1">
          Nobody is named: somebody at every microphone, and somebody in every pair of headphones. Name them
          to see what each hears, and whether one comes into the microphone of another.
        </p>
      )}
      <ul>
        {people.map((person) => (
          <PersonRow
            key={person.id}
            rig={rig}
            person={person}
            stands={stands.filter((one) => one.person === person.id)}
            edit={edit}
          />
        ))}
      </ul>
      <form
        className="mt-2 flex flex-wrap items-center gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (!name.trim()) return;
          edit({ kind: 'come', name });
          setName('');
        }}
      >
        <label className="flex min-w-0 flex-1 items-center gap-2">
          Name
          <input
            className="field min-w-0 flex-1"
            value={name}
            maxLength={LIMITS.person}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <button type="submit" className="button" disabled={full}>
          Add
        </button>
      </form>
      {full && <p className="text-soft mt-1 text-sm">A rig has at most {LIMITS.people} people.</p>}
    </section>
  );
}
