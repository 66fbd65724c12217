import type { Finding } from '../checks';
import { appOf } from '../engine/flow';
import { laidParts, type Rig } from '../rig';
import { limitFigure, show } from './measured';
import type { Sentence } from './sentence';
import { capital, nameOf, noun } from './words';

/** What the setting that a finding names is called, on the part or in its app. */
function settingName(rig: Rig, f: Finding): string {
  const laid = laidParts(rig).find((l) => l.placed.id === f.where.part);
  const app = laid && appOf(laid);
  const settings = [...(laid?.part.settings ?? []), ...(app?.choices ?? [])];
  return settings.find((s) => s.id === f.setting)?.name ?? f.setting ?? 'switch';
}

export const sayApp = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.recorder))} offers ${nameOf(rig, f.other)} to its apps, and this class of app takes only a headset.`,
];

export const sayOwnChosen = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.recorder))} offers ${nameOf(rig, f.other)}, and the app’s source list stands at its own microphone.`,
];

export const sayNotReloaded = (rig: Rig, f: Finding): Sentence => [
  `The page was loaded before ${nameOf(rig, f.other)} was plugged in. Reload it and choose again.`,
];

export const sayNotNoticed = (rig: Rig, f: Finding): Sentence => [
  `${capital(nameOf(rig, f.other))} has nothing in its headphone socket, and ${noun(rig, f.recorder)} takes notice of it by the load that headphones make. Plug some in and leave them in.`,
];

export const saySwitchedOff = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.source))} is kept out by a switch: “${settingName(rig, f)}” of ${nameOf(rig, f.other)}.`,
];

export const sayInputNumber = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.source))} stands at input `,
  ...f.values.map(show),
  ' of the device, and no track of the project records that input.',
];

export const sayNotArmed = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.source))} stands at input `,
  ...f.values.map(show),
  `, and the track for it is not armed (“${settingName(rig, f)}”).`,
];

export const saySharesTrack = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.source))} and ${noun(rig, f.other)} come to ${noun(rig, f.recorder)} together: `,
  ...f.values.flatMap((m) => [show(m), ` ${m.name}`]),
  ', where each was to have ',
  limitFigure(f),
  '.',
];

export const sayReturns = (rig: Rig, f: Finding): Sentence => [
  `What ${noun(rig, f.recorder)} plays comes back into its input at `,
  ...f.values.map(show),
  ' for full scale; ',
  limitFigure(f),
  ' keeps the far end from hearing itself.',
];

export const sayGuests = (rig: Rig, f: Finding): Sentence => [
  `Those at the far end are heard from ${noun(rig, f.recorder)} alone, and ${nameOf(rig, f.other)} are plugged in ahead of it.`,
];

export const sayMoved = (rig: Rig, f: Finding): Sentence => [
  `${capital(noun(rig, f.recorder))} plays back through ${nameOf(rig, f.other)} now; its own output, where the headphones are, is still.`,
];

export const sayMonitorOff = (rig: Rig, f: Finding): Sentence => [
  `${capital(nameOf(rig, f.other))} do not hear ${noun(rig, f.source)}: “${settingName(rig, f)}” of ${nameOf(rig, f.where.part)} is off.`,
];
