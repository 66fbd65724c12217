import {
  DEFAULT_APP,
  findApp,
  type App,
  type Chosen,
  type NumberChoice,
  type Take,
  type Way,
} from '../../apps';
import type { BusDevice } from '../../parts';
import { choiceOf, type LaidPart, type PlacedPart, type PolicyNote, type Rig } from '../../rig';
import { own } from '../../schema';
import { isNoticed } from './detection';
import type { HostInput } from './inputs';

/** The way of what registers so; a socket of the host's own is a headset's way, whatever it looks for. */
export const wayAs = (registersAs: BusDevice['registersAs'] | undefined): Way =>
  registersAs === undefined || registersAs === 'headset' || registersAs === 'analogue' ? 'headset' : 'usb';

/** By which way an input comes to an app. */
export const wayOf = (input: HostInput): Way => wayAs(input.registersAs);

const isChosen = (placed: PlacedPart, chosen: Chosen | undefined): chosen is Chosen =>
  chosen !== undefined && choiceOf(placed, chosen.choice) === chosen.is;

const numberChosen = (placed: PlacedPart, { choice, numbers }: NumberChoice): number =>
  own(numbers, String(choiceOf(placed, choice))) ?? NaN;

/** The app class that records on a host, its channels as its user chose; a camera or recorder records by itself: undefined. */
export function appOf(host: LaidPart): App | undefined {
  const app = host.part.host?.runsApps ? findApp(host.placed.app ?? DEFAULT_APP) : undefined;
  return app && isChosen(host.placed, app.decides.stereo) ? { ...app, channels: 'stereo' } : app;
}

/** A track of a multitrack project, and the choices by which it is what it is. */
export interface Track {
  readonly track: number;
  readonly input: number;
  readonly armed: boolean;
  readonly chosenBy: string;
  readonly armedBy: string;
}

/** The tracks of the project in a host's app. */
export function tracksOf(host: LaidPart): Track[] {
  const { decides } = appOf(host) ?? {};
  const count = decides?.trackCount ? numberChosen(host.placed, decides.trackCount) : Infinity;
  return (decides?.tracks ?? [])
    .filter(({ track }) => track <= count)
    .map(({ track, input, armed }) => ({
      track,
      input: numberChosen(host.placed, input),
      armed: isChosen(host.placed, armed),
      chosenBy: input.choice,
      armedBy: armed.choice,
    }));
}

/** Whether the app on a host plays back what it records, and the choice that says so; undefined where it never does. */
export function monitoringOf(host: LaidPart | undefined): { on: boolean; choice: string } | undefined {
  const monitor = host && appOf(host)?.decides.monitor;
  return monitor && host && { on: isChosen(host.placed, monitor), choice: monitor.choice };
}

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
  if (note) return { taken: note.takes, evidence: { kind: note.kind, date: note.date } };
  const takes = host.part.host?.manyDevices ? (app.takesOnComputers ?? app.takes) : app.takes;
  return takes[way];
}

/** Why an app does not record what its host offers. */
export type LeftAlone = 'not-taken' | 'own-chosen' | 'not-reloaded';

/** What the app of a host records from: an input, or nothing external, and why. */
export interface Choice {
  readonly input?: HostInput;
  /** What the host offers its apps, taken or not. */
  readonly offered?: HostInput;
  readonly left?: LeftAlone;
  /** The choice in the app by which it is left alone. */
  readonly by?: string;
}

/** Inputs that a host could record from: plugged, accepted, not turned off, and noticed. */
export const isUsable = (input: HostInput): boolean =>
  input.accepted && input.plugged && input.on && input.unnoticed === undefined;

/** The input that the host offers its apps, or undefined when there is only its own microphone. */
export function selectInput(host: LaidPart, inputs: readonly HostInput[]): HostInput | undefined {
  const usable = inputs.filter(isUsable);
  return host.part.host?.selects === 'when-plugged'
    ? usable[0]
    : usable.find((input) => (input.sensed ? isNoticed(input.sensed.reading) : true));
}

/** From what is offered to what is recorded, through the app's policy and its user's choices. */
export function chooseInput(rig: Rig, host: LaidPart, inputs: readonly HostInput[]): Choice {
  const offered = selectInput(host, inputs);
  const app = appOf(host);
  if (!offered || !app) return offered ? { offered, input: offered } : {};
  if (!takeOf(rig, host, app, wayOf(offered)).taken) return { offered, left: 'not-taken' };
  const { own: ownChosen, stale } = app.decides;
  if (isChosen(host.placed, ownChosen)) return { offered, left: 'own-chosen', by: ownChosen.choice };
  if (isChosen(host.placed, stale)) return { offered, left: 'not-reloaded', by: stale.choice };
  return { offered, input: offered };
}
