'use client';
import type { Arrival, Stage } from '../../core/engine/flow';
import type { Analysis } from '../../core/judge';
import { nameOf, noun } from '../../core/words';
import type { Rig } from '../../core/rig';
import { formatDb } from '../../core/units';

const PLACE: Record<Stage['is'], string> = {
  source: 'as it gives it',
  input: 'at its input',
  output: 'at its output',
  converter: 'at the converter',
};

/** Room between the peaks here and what the stage bears. */
function Room({ stage }: { stage: Stage }) {
  if (stage.clipLevel === null || !Number.isFinite(stage.peak)) return <>–</>;
  const room = stage.clipLevel - stage.peak;
  return <span className={room < 0 ? 'text-vermilion font-bold' : ''}>{formatDb(room)}</span>;
}

/** The way of a source into what is recorded, stage by stage: its peaks, and how far they stay under what each bears. */
export function LevelChain({ rig, analysis, arrival }: { rig: Rig; analysis: Analysis; arrival: Arrival }) {
  const chain = analysis.chains.find((c) => c.source === arrival.source && c.input === arrival.records);
  if (!chain) return null;
  const delay = chain.stages.at(-1)?.delay ?? 0;
  return (
    <details className="fold mt-1">
      <summary className="text-soft text-sm">
        Level by level: {noun(rig, arrival.source)} to {noun(rig, arrival.recorder)}
      </summary>
      <table className="w-full text-sm">
        <caption className="sr-only">Speech peaks on the way, and the room above them</caption>
        <thead className="text-soft text-left">
          <tr>
            <th className="py-1 pr-2 font-semibold">Where</th>
            <th className="py-1 pr-2 text-right font-semibold">Peaks</th>
            <th className="py-1 text-right font-semibold">Room</th>
          </tr>
        </thead>
        <tbody>
          {chain.stages.map((stage, index) => (
            <tr key={index} className="border-line border-t">
              <td className="py-1 pr-2">
                {nameOf(rig, stage.placed)}
                <span className="text-soft"> {PLACE[stage.is]}</span>
              </td>
              <td className="py-1 pr-2 text-right font-mono text-xs whitespace-nowrap">
                {formatDb(stage.peak, 'dBV')}
              </td>
              <td className="py-1 text-right font-mono text-xs whitespace-nowrap">
                <Room stage={stage} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-soft mt-1 text-sm">
        {delay > 0 && `Digital stages take ${delay} ms. `}
        {chain.polarity < 0 && 'Polarity is inverted.'}
      </p>
    </details>
  );
}
