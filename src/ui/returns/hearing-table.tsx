import type { Rig } from '../../core/rig';
import { sayHeard, sayPerson } from '../../core/words/say-returns';
import type { Heard, Hearing, HearState } from '../../core/engine/hearing';

const STYLES: Readonly<Record<HearState, string>> = {
  hears: '',
  quiet: 'text-brass font-semibold',
  late: 'text-vermilion font-semibold',
  twice: 'text-vermilion font-semibold',
  not: 'text-vermilion font-semibold',
  alone: 'text-soft',
};

interface HearingTableProps {
  readonly rig: Rig;
  readonly hearing: Hearing;
  readonly choose: (person: string) => void;
  /** The cell whose way is lit. */
  readonly lit: Heard | undefined;
  readonly light: (cell: Heard | undefined) => void;
}

export const isCell = (a: Heard | undefined, b: Heard): boolean =>
  a?.listener === b.listener && a.voice === b.voice;

/** Rows hear, columns speak. */
export function HearingTable({ rig, hearing, choose, lit, light }: HearingTableProps) {
  const { hearers, speakers, cells } = hearing;
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Who hears whom">
      <table className="mt-2 w-full text-sm">
        <thead>
          <tr>
            <td />
            {speakers.map(({ id, is }) => (
              <th key={id} scope="col" className="px-1.5 py-1 text-left font-semibold">
                {sayPerson(rig, id, is)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {hearers.map(({ id, is }) => (
            <tr key={id} className="border-line border-t">
              <th scope="row" className="py-1 pr-2 text-left font-semibold">
                <button
                  type="button"
                  className="min-h-11 text-left underline lg:min-h-8"
                  onClick={() => choose(id)}
                >
                  {sayPerson(rig, id, is)}
                </button>
              </th>
              {speakers.map((speaker) => {
                const cell = cells.find((c) => c.listener === id && c.voice === speaker.id);
                return (
                  <td
                    key={speaker.id}
                    className={`px-1.5 py-1 ${cell ? STYLES[cell.state] : ''}`}
                    data-cell={`${id} ${speaker.id}`}
                    data-state={cell?.state}
                  >
                    {cell && cell.path.length > 0 ? (
                      <button
                        type="button"
                        className="min-h-11 text-left underline decoration-dotted aria-pressed:font-bold lg:min-h-8"
                        aria-pressed={isCell(lit, cell)}
                        onClick={() => light(isCell(lit, cell) ? undefined : cell)}
                      >
                        {sayHeard(cell)}
                      </button>
                    ) : (
                      cell && sayHeard(cell)
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
