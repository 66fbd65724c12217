import { findApp } from '../../core/apps';
import { staysPut } from '../../core/parts';
import { contactsOf } from '../../core/plugs';
import { nameOf } from '../../core/words';
import { turnedIn } from '../../core/words/plugging';
import { laidParts, type Rig } from '../../core/rig';
import type { Route } from '../../core/search/route';

/** A part with what is turned on it. */
interface Made {
  readonly placed: string;
  readonly name: string;
  readonly turned: readonly string[];
}

/** For each part what is turned from where it is delivered: "Interface" with "48 V on", "Gain 39.0 dB". */
export function settingsMade(rig: Rig): Made[] {
  const byPart = new Map<string, string[]>();
  for (const { placed, short } of turnedIn(rig)) byPart.set(placed, [...(byPart.get(placed) ?? []), short]);
  return [...byPart].map(([placed, turned]) => ({ placed, name: nameOf(rig, placed), turned }));
}

/** Beyond this an unbalanced line lead is too long for many, metres. Common practice; practitioners disagree. */
const LONG_UNBALANCED = 3;

/** Leads of a route that are longer than many would make them without balance. */
const longLeads = (rig: Rig): string[] =>
  laidParts(rig).flatMap(({ placed, part }) => {
    const metres = placed.length ?? part.length ?? 0;
    const unbalanced = part.ports.every(({ connector }) => contactsOf(connector).includes('S'));
    return part.length !== undefined && unbalanced && metres > LONG_UNBALANCED
      ? [
          `${Number(metres.toFixed(1))} m of unbalanced lead may pick up hum, how much the lens Levels tells; beyond ${LONG_UNBALANCED} to 6 m many go balanced (common practice)`,
        ]
      : [];
  });

/** What a route leaves out that one might expect of it, as its rig shows. */
export function cannot({ rig, arrives, listeners }: Route): string[] {
  const laid = laidParts(rig);
  const apps = laid.flatMap(({ placed }) => findApp(placed.app ?? '') ?? []);
  const heard = listeners.some(({ hears }) => hears.length > 0);
  return [
    ...longLeads(rig),
    ...(arrives.some((a) => a.channels === 'mono') && apps.every((app) => app.channels !== 'mono')
      ? ['it records in mono']
      : []),
    ...(apps.some((app) => app.farEnd) && !heard ? ['nobody hears the far end through it'] : []),
    ...(!heard && apps.every((app) => !app.farEnd) ? ['nobody listens to what is recorded'] : []),
    ...(laid.some(({ part }) => staysPut(part)) ? ['it is not worn or carried'] : []),
  ];
}
