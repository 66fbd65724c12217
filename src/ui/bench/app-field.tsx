'use client';
import { APPS, DEFAULT_APP, findApp } from '../../core/apps';
import { type PartSetting } from '../../core/parts';
import { appOf } from '../../core/engine/flow';
import type { Analysis } from '../../core/judge';
import { choiceOf, type LaidPart, type RigEdit } from '../../core/rig';
import { SwitchField } from './switch-field';

interface AppFieldProps {
  readonly laid: LaidPart;
  readonly analysis: Analysis;
  readonly edit: (change: RigEdit) => void;
}

/** Tracks beyond the inputs that the device has are not worth a field. */
function isShown(choice: PartSetting, inputs: number): boolean {
  const [, track] = /^(?:track|arm)-(\d+)$/.exec(choice.id) ?? [];
  return track === undefined || Number(track) <= Math.max(1, inputs);
}

/** Which app records on a host, and what is chosen in it. */
export function AppField({ laid, analysis, edit }: AppFieldProps) {
  const app = appOf(laid);
  if (!app) return null;
  const part = laid.placed.id;
  const inputs = Math.max(
    0,
    ...analysis.inputs.filter((i) => i.host === part && i.accepted).map((i) => i.channels.length),
  );
  return (
    <>
      <label className="flex items-center gap-1.5">
        App
        <select
          className="field max-w-56"
          value={laid.placed.app ?? DEFAULT_APP}
          onChange={(event) => {
            const chosen = findApp(event.target.value);
            if (chosen) edit({ kind: 'app', part, app: chosen.id });
          }}
        >
          {APPS.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      {app.choices
        .filter((choice) => isShown(choice, inputs))
        .map(
          (choice) =>
            choice.kind === 'switch' && (
              <SwitchField
                key={choice.id}
                setting={choice}
                name={choice.name}
                value={choiceOf(laid.placed, choice.id)}
                change={(option) => edit({ kind: 'choose', part, choice: choice.id, option })}
              />
            ),
        )}
    </>
  );
}
