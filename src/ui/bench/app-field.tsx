'use client';
import { APPS, DEFAULT_APP, findApp, type App } from '../../core/apps';
import { appOf } from '../../core/engine/flow';
import type { Analysis } from '../../core/judge';
import { choiceOf, type LaidPart, type PlacedPart, type RigEdit } from '../../core/rig';
import { SwitchField } from './switch-field';

interface AppFieldProps {
  readonly laid: LaidPart;
  readonly analysis: Analysis;
  readonly edit: (change: RigEdit) => void;
}

/** Choices of tracks that the project has not, or for which the device has no input, are not worth a field. */
function hiddenIn({ decides }: App, placed: PlacedPart, inputs: number): ReadonlySet<string> {
  const { trackCount, tracks = [] } = decides;
  const has = trackCount ? trackCount.numbers[String(choiceOf(placed, trackCount.choice))] : undefined;
  const shown = Math.min(has ?? Infinity, Math.max(1, inputs));
  return new Set(
    tracks.flatMap(({ track, input, armed }) => (track > shown ? [input.choice, armed.choice] : [])),
  );
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
  const hidden = hiddenIn(app, laid.placed, inputs);
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
        .filter((choice) => !hidden.has(choice.id))
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
