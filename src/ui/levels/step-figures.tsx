'use client';
import Link from 'next/link';
import type { Step } from '../../core/engine/levels';
import { DBU_OVER_DBV, formatDb, formatVolts, sayKnob } from '../../core/units';
import { laidParts, settingOf, type Rig } from '../../core/rig';
import type { Editing } from '../bench/editing';
import { KnobField } from '../bench/knob-field';
import type { WayRow } from './way-rows';

const PLACE: Readonly<Record<Step['is'], string>> = {
  source: 'As it gives it',
  input: 'At its input',
  output: 'At its output',
  converter: 'At the converter',
};

/** Down to microvolts, where noise is. */
const sayVolts = (dbv: number): string => {
  const volts = 10 ** (dbv / 20);
  if (!Number.isFinite(dbv)) return '';
  return volts >= 0.001 ? formatVolts(volts) : `${Number((volts * 1e6).toPrecision(2))} µV`;
};

const dbu = (dbv: number): string => formatDb(dbv + DBU_OVER_DBV, 'dBu');

/** The calculators that begin from a stage's figures, filled in. */
function Calculators({ step }: { step: Step }) {
  const figure = (value: number) => value.toFixed(2);
  const hisses = Number.isFinite(step.noise);
  return (
    <p className="mt-1 flex gap-3 text-sm">
      <Link className="text-sea underline" href={`/calculators?open=units&level=${figure(step.level)}`}>
        In other units
      </Link>
      {step.is === 'input' && hisses && (
        <Link
          className="text-sea underline"
          href={`/calculators?open=noise&signal=${figure(step.level)}&ein=${figure(step.noise)}`}
        >
          Noise
        </Link>
      )}
      {step.clipLevel !== null && step.peak > step.clipLevel && (
        <Link
          className="text-sea underline"
          href={`/calculators?open=pad&loss=${figure(Math.ceil(step.peak - step.clipLevel + 12))}`}
        >
          A pad for it
        </Link>
      )}
    </p>
  );
}

function Figures({ step }: { step: Step }) {
  const rows = [
    ['RMS', step.level],
    ['Peaks', step.peak],
    ['Noise', step.noise],
    ...(step.clipLevel === null ? [] : [['Clips at', step.clipLevel] as const]),
  ] as const;
  return (
    <table className="text-sm">
      <caption className="pt-1 text-left font-semibold">{PLACE[step.is]}</caption>
      <tbody>
        {rows.map(([name, dbv]) => (
          <tr key={name}>
            <th scope="row" className="text-soft pr-3 text-left font-normal">
              {name}
            </th>
            {[formatDb(dbv, 'dBV'), dbu(dbv), sayVolts(dbv)].map((figure, n) => (
              <td key={n} className="pr-3 text-right font-mono text-xs whitespace-nowrap">
                {figure}
              </td>
            ))}
          </tr>
        ))}
        {step.clipLevel !== null && (
          <tr>
            <th scope="row" className="text-soft pr-3 text-left font-normal">
              Room
            </th>
            <td className="pr-3 text-right font-mono text-xs whitespace-nowrap">
              {formatDb(step.clipLevel - step.peak)}
            </td>
          </tr>
        )}
      </tbody>
    </table>
  );
}

/** A rung opened: its knobs, and the figures of each of its stages. */
export function StepFigures({
  rig,
  row: { placed, steps, knobs },
  edit,
  preview,
}: { rig: Rig; row: WayRow } & Pick<Editing, 'edit' | 'preview'>) {
  const laid = laidParts(rig).find((one) => one.placed.id === placed);
  return (
    <div className="border-line flex flex-wrap gap-x-6 gap-y-2 border-t px-3 py-2">
      {knobs.length > 0 && (
        <div>
          {knobs.map((knob) => {
            const setting = laid?.part.settings?.find(({ id }) => id === knob.setting);
            if (!laid || setting?.kind !== 'knob') return null;
            const change = (option: number) =>
              ({ kind: 'set', part: placed, setting: setting.id, option }) as const;
            return (
              <KnobField
                key={setting.id}
                setting={setting}
                name={setting.within ? `${setting.within.group}, ${setting.within.name}` : setting.name}
                value={settingOf(laid, setting.id)}
                change={(value) => edit(change(Number(value)))}
                turn={(value) => preview(change(value))}
                says={(value) => sayKnob(setting, value)}
              />
            );
          })}
        </div>
      )}
      {steps.map((step, index) => (
        <div key={index}>
          <Figures step={step} />
          {Number.isFinite(step.level) && <Calculators step={step} />}
        </div>
      ))}
      {steps.length === 0 && (
        <p className="text-soft text-sm">It has no stage of its own: what it takes off shows below it.</p>
      )}
    </div>
  );
}
