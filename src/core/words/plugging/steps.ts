import { onMains } from '../../engine/earth/mains';
import { appOf } from '../../engine/flow';
import { isSupply, isWornToListen } from '../../parts';
import { isSpoken, laidParts, partOf, portOf, type Joint, type Rig } from '../../rig';
import { ladder } from '../../views';
import { capital, nameOf } from '../words';
import { chosenIn, phantomOf, turnedIn, type Turned } from './settings';

/** A thing to do, in its order, or what one should see then. */
export interface PluggingStep {
  readonly is: 'mains' | 'plug' | 'set' | 'see';
  readonly says: string;
}

/** By radio nothing is plugged. */
const isPlugged = (rig: Rig, { plug }: Joint): boolean => portOf(rig, plug)?.connector !== 'radio';

function sayJoint(rig: Rig, { plug, jack }: Joint): string {
  const [own, socket] = [portOf(rig, plug)?.name ?? plug.port, portOf(rig, jack)?.name ?? jack.port];
  const which = (partOf(rig, plug.part)?.ports.length ?? 0) > 1 ? ` (${own})` : '';
  return `Plug ${nameOf(rig, plug.part)}${which} into the ${socket} of ${nameOf(rig, jack.part)}`;
}

/** First what feeds, then along the lead from the source on, what goes into the recorder last, and headphones after that. */
function turnOf(rig: Rig, joint: Joint, places: ReadonlyMap<string, number>): number {
  const ids = [joint.plug.part, joint.jack.part];
  const parts = ids.flatMap((id) => partOf(rig, id) ?? []);
  const at = Math.max(...ids.map((id) => places.get(id) ?? 0));
  if (parts.some(isWornToListen)) return 4000 + at;
  if (parts.some(({ host }) => host)) return 3000 + at;
  return (parts.some(isSupply) ? 1000 : 2000) + at;
}

const set = (turned: readonly Turned[]): PluggingStep[] =>
  turned.map(({ says }) => ({ is: 'set', says: `Set ${says}` }));

/** Devices that show by a light of their own whether they are fed and known. */
const hasLight = (rig: Rig): string[] =>
  laidParts(rig)
    .filter(({ part }) => part.bus?.registersAs === 'audio' && (part.captures ?? []).length > 0)
    .map(({ placed }) => nameOf(rig, placed.id));

/** What to try it with: words where somebody speaks, a little of what is played where something is. */
function testFor(rig: Rig): string {
  const sources = laidParts(rig).filter(({ placed }) => rig.purpose.sources.includes(placed.id));
  const spoken = sources.some(({ part }) => isSpoken(part));
  const played = sources.some(({ part }) => !isSpoken(part));
  const what = [...(spoken ? ['a few words'] : []), ...(played ? ['a little of what is played'] : [])];
  const taps = spoken ? ['tap each microphone once, ', ': the taps are to be loud'] : ['', ''];
  return `Record ${what.join(' and ') || 'a little'}${spoken ? ',' : ''} ${taps[0]}and play it back${taps[1]}`;
}

function seen(rig: Rig): PluggingStep[] {
  const lights = hasLight(rig).map(
    (name) => `The light of ${name} may blink off and on when the phone joins: allow it some seconds`,
  );
  const apps = rig.purpose.recorders.flatMap((id) => {
    const laid = laidParts(rig).find(({ placed }) => placed.id === id);
    const app = laid && appOf(laid);
    if (!app) return [];
    return app.decides.own
      ? [`${capital(app.name)} lists what is plugged in: it is to stand there, not the own microphone`]
      : [`${capital(app.name)} may show nothing: only a test tells`];
  });
  return [...lights, ...apps, testFor(rig)].map((says) => ({ is: 'see', says }));
}

/** What harms when something is plugged: phantom that is on, levels that are up. */
function before(rig: Rig): PluggingStep[] {
  const parts = laidParts(rig).map(({ part }) => part);
  const turns = parts.some(({ settings, host }) => !host && settings?.some(({ kind }) => kind === 'knob'));
  const feeds = parts.some((part) => phantomOf(part).length > 0);
  if (!turns && !feeds) return [];
  const what = [...(turns ? ['levels down'] : []), ...(feeds ? ['phantom off'] : [])].join(', ');
  return [{ is: 'set', says: `${capital(what)} before anything is plugged or pulled` }];
}

/** What has a mains lead or unit of its own goes into the wall first. */
const intoTheWall = (rig: Rig): PluggingStep[] =>
  onMains(new Map(laidParts(rig).map((laid) => [laid.placed.id, laid]))).map(({ laid, place, said }) => ({
    is: 'mains',
    says: `Plug ${nameOf(rig, laid.placed.id)} into ${said ? place : 'the mains'}${laid.part.stands === 'wall' ? '' : ' and switch it on'}`,
  }));

/** A hub that is fed shows it before anything hangs on it. */
const fedLights = (rig: Rig): PluggingStep[] =>
  onMains(new Map(laidParts(rig).map((laid) => [laid.placed.id, laid]))).flatMap(({ laid }) =>
    laid.part.hub ? [{ is: 'see', says: `The light of ${nameOf(rig, laid.placed.id)} is on` }] : [],
  );

/** The order of plugging in (common practice: mains, hub, device, then the phone; phantom and levels last), and what one sees then. */
export function pluggingSteps(rig: Rig): PluggingStep[] {
  const places = new Map(ladder(rig).map(({ placed }, index) => [placed, index]));
  const joints = rig.joints
    .filter((joint) => isPlugged(rig, joint))
    .map((joint) => ({ joint, turn: turnOf(rig, joint, places) }))
    .sort((a, b) => a.turn - b.turn);
  const turned = turnedIn(rig);
  const of = (...kinds: readonly Turned['is'][]) => set(turned.filter(({ is }) => kinds.includes(is)));
  const plugs = (from: number, to: number): PluggingStep[] =>
    joints
      .filter(({ turn }) => turn >= from && turn < to)
      .map(({ joint }) => ({ is: 'plug', says: sayJoint(rig, joint) }));
  const apps = rig.purpose.recorders.flatMap((id): PluggingStep[] => {
    const laid = laidParts(rig).find(({ placed }) => placed.id === id);
    const app = laid && appOf(laid);
    return app ? [{ is: 'set', says: `Open ${app.name} on ${nameOf(rig, id)}` }] : [];
  });
  return [
    ...before(rig),
    ...intoTheWall(rig),
    ...plugs(1000, 2000),
    ...of('power', 'switch'),
    ...fedLights(rig),
    ...plugs(2000, 5000),
    ...of('phantom'),
    ...of('level'),
    ...apps,
    ...chosenIn(rig).map((says): PluggingStep => ({ is: 'set', says: `Choose there ${says}` })),
    ...seen(rig),
  ];
}
