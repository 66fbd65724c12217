'use client';
import type { Rig, RigEdit } from '../../core/rig';
import { nameOf } from '../../core/words/words';
import { sayEdit } from '../../core/words';
import type { ReturnsAnswers } from '../../workers/protocol';
import { PlaceFields } from './place-fields';

/** Rooms as people name them: volume, m³, and reverberation time, s. Typical. */
const ROOMS = [
  ['furnished room', 60, 0.4],
  ['bare office', 120, 1],
  ['hall', 1500, 1.6],
  ['open air', 1_000_000, 0.05],
] as const;

interface AirCardProps {
  readonly rig: Rig;
  readonly found: ReturnsAnswers;
  readonly edit: (change: RigEdit) => void;
}

const db = (value: number): string => `${value.toFixed(1).replace('-', '−')} dB`;

function sayMargin(marginDb: number): string {
  if (marginDb <= 0) return `It howls: the loop is ${db(-marginDb)} over one.`;
  return marginDb < 6
    ? `${db(marginDb)} from howling: it rings. Six are wanted.`
    : `${db(marginDb)} from howling; six are wanted (common practice).`;
}

function RoomChoice({ rig, edit }: Pick<AirCardProps, 'rig' | 'edit'>) {
  const { room } = rig.surroundings;
  const at = ROOMS.findIndex(
    ([, cubicMetres, seconds]) =>
      cubicMetres === (room?.cubicMetres ?? 60) && seconds === (room?.seconds ?? 0.4),
  );
  return (
    <label className="mt-2 flex flex-wrap items-center gap-2">
      Room
      <select
        className="field"
        value={at}
        onChange={(event) => {
          const chosen = ROOMS[Number(event.target.value)];
          if (chosen) edit({ kind: 'room', room: { cubicMetres: chosen[1], seconds: chosen[2] } });
        }}
      >
        {at < 0 && <option value={-1}>as the rig says</option>}
        {ROOMS.map(([name, cubicMetres, seconds], i) => (
          <option key={name} value={i}>
            {cubicMetres < 100_000 ? `${name}, ${cubicMetres} m³, ${seconds} s` : name}
          </option>
        ))}
      </select>
    </label>
  );
}

function PairRow({
  rig,
  pair,
  edit,
}: {
  rig: Rig;
  pair: ReturnsAnswers['view']['air'][number];
  edit: AirCardProps['edit'];
}) {
  const { speaker, microphone, placing, said } = pair;
  const put = (change: { metres?: number; degrees?: number }) =>
    edit({ kind: 'air', placing: { speaker, microphone, ...change } });
  return (
    <li className="border-line border-t py-2 first:border-t-0">
      <p className="font-semibold">
        {nameOf(rig, speaker)} to {nameOf(rig, microphone)}
        {!said && <span className="text-soft font-normal"> (taken for granted; say how it stands)</span>}
      </p>
      <PlaceFields
        label={`${nameOf(rig, speaker)} to ${nameOf(rig, microphone)}`}
        metres={placing.metres}
        degrees={placing.degrees}
        put={put}
      />
    </li>
  );
}

/** Loudspeakers that microphones hear: how near they come to howling, how they stand, what gives more room. */
export function AirCard({ rig, found, edit }: AirCardProps) {
  const { air, loops } = found.view;
  if (air.length === 0) return null;
  const loop = loops.find((one) => one.air);
  return (
    <section aria-label="Loudspeakers in the room" className="border-line bg-card mt-4 rounded-xl border p-3">
      <h3 className="font-bold">Loudspeakers in the room</h3>
      <p className="mt-1" data-margin={loop ? loop.marginDb.toFixed(1) : 'none'}>
        {loop
          ? `${sayMargin(loop.marginDb)}${loop.hertz === undefined || loop.hertz === 1000 ? '' : ` Least room in the octave of ${loop.hertz} Hz.`}`
          : 'Nothing of a microphone comes to a loudspeaker: nothing can howl.'}
      </p>
      <ul className="mt-1">
        {air.map((pair) => (
          <PairRow key={`${pair.speaker} ${pair.microphone}`} rig={rig} pair={pair} edit={edit} />
        ))}
      </ul>
      <RoomChoice rig={rig} edit={edit} />
      {found.moves.length > 0 && (
        <>
          <h4 className="mt-3 font-semibold">What gives more room, most first</h4>
          <ul>
            {found.moves.map((move) => (
              <li key={JSON.stringify(move.edit)} className="flex items-center gap-2 py-1">
                <span className="min-w-0 flex-1">
                  {sayEdit(rig, move.edit)}:{' '}
                  {move.marginDb === Infinity ? 'nothing goes round' : `margin ${db(move.marginDb)}`}
                </span>
                <button
                  type="button"
                  className="button"
                  aria-label={`Apply: ${sayEdit(rig, move.edit)}`}
                  onClick={() => edit(move.edit)}
                >
                  Apply
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
      <p className="text-soft mt-2 text-sm">
        At 1 kHz, whatever the phase; a room’s peaks lie higher. Levels of loudspeakers are typical. Mind your
        ears: turn up slowly.
      </p>
    </section>
  );
}
