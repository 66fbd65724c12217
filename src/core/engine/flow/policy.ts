import { DEFAULT_APP, findApp, type App, type Take, type Way } from '../../apps';
import { choiceOf, type LaidPart, type PolicyNote, type Rig } from '../../rig';
import type { HostInput } from './inputs';

/** By which way an input comes to an app: a headset input is sensed, a sound device is not. */
export const wayOf = (input: HostInput): Way =>
  input.sensed || input.registersAs === 'headset' || input.registersAs === 'analogue' ? 'headset' : 'usb';

/** The app class that records on a host; a camera or recorder records by itself: undefined. */
export const appOf = (host: LaidPart): App | undefined =>
  host.part.host?.runsApps ? findApp(host.placed.app ?? DEFAULT_APP) : undefined;

/** The latest note that speaks of this app, host and way; one that names the host before one that does not. */
function noteOn(rig: Rig, host: LaidPart, app: App, way: Way): PolicyNote | undefined {
  const fitting = (rig.policies ?? []).filter(
    (n) => n.app === app.id && n.way === way && (n.host === undefined || n.host === host.part.id),
  );
  const latest = (notes: readonly PolicyNote[]) =>
    notes.reduce<PolicyNote | undefined>((best, n) => (best && best.date > n.date ? best : n), undefined);
  return latest(fitting.filter((n) => n.host !== undefined)) ?? latest(fitting);
}

/** Whether the app of a host takes what comes one way: as the user noted it, else as shipped. */
export function takeOf(rig: Rig, host: LaidPart, app: App, way: Way): Take {
  const note = noteOn(rig, host, app, way);
  return note ? { taken: note.takes, evidence: { kind: note.kind, date: note.date } } : app.takes[way];
}

/** Why an app does not record what its host offers. */
export type LeftAlone = 'not-taken' | 'own-chosen' | 'not-reloaded';

/** What the app of a host records from: an input, or nothing external, and why. */
export interface Choice {
  readonly input?: HostInput;
  /** What the host offers its apps, taken or not. */
  readonly offered?: HostInput;
  readonly left?: LeftAlone;
}

/** The input that the host offers its apps, or undefined when there is only its own microphone. */
export function selectInput(host: LaidPart, inputs: readonly HostInput[]): HostInput | undefined {
  const usable = inputs.filter(
    (input) => input.accepted && input.plugged && input.on && input.unnoticed === undefined,
  );
  return host.part.host?.selects === 'when-plugged'
    ? usable[0]
    : usable.find((input) => (input.sensed ? input.sensed.reading === 'microphone' : true));
}

/** From what is offered to what is recorded, through the app's policy and its user's choices. */
export function chooseInput(rig: Rig, host: LaidPart, inputs: readonly HostInput[]): Choice {
  const offered = selectInput(host, inputs);
  const app = appOf(host);
  if (!offered || !app) return offered ? { offered, input: offered } : {};
  if (!takeOf(rig, host, app, wayOf(offered)).taken) return { offered, left: 'not-taken' };
  if (choiceOf(host.placed, 'source') === 'own') return { offered, left: 'own-chosen' };
  if (choiceOf(host.placed, 'reloaded') === 'off') return { offered, left: 'not-reloaded' };
  return { offered, input: offered };
}
