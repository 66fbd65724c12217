import type { Facts } from '../../engine';
import type { Arrival } from '../../engine/flow';
import type { Outcome } from '../../judge';
import { keepsItsSides } from '../levels';
import { isSoundButLow, LEAST_OVER_NOISE, overNoise } from '../settings';
import { type Part, staysPut } from '../../parts';
import { contactsOf } from '../../plugs';
import { suppliedPorts } from './charging';
import type { Purse } from './inventory';
import { split, type Layout } from './layout';
import type { RouteRequest, WishName, Wishes } from './request';
import { isBridged, stretchesOf } from './runs';

/** An accessory for a port that asks for a chip, without it. */
const lacksChip = (part: Part): boolean =>
  part.ports.some((port) => port.gender === 'plug' && contactsOf(port.connector).includes('A')) &&
  ((part.bus && !part.bus.authenticated) || (part.hub && !part.hub.authenticated)) === true;

/** Whether a part may be used at all under these wishes. What comes with the place is used where it is, and not bought. */
export const isAllowed = (part: Part, wishes: Wishes, isOwned: boolean): boolean =>
  (!part.notForSale || isOwned) &&
  !(wishes.worn && staysPut(part)) &&
  !(wishes.risk === 'proven' && lacksChip(part));

/** Wishes that parts and joints alone decide; the rest is asked of the pipeline. A lead of an owned kind may be too short, and would have to be bought. */
export const keepsWishes = (layout: Layout, wishes: Wishes, purse: Purse): boolean =>
  (!wishes.charge || layout.recorders.every((id) => suppliedPorts(layout, id))) &&
  (!wishes.buyNothing || split(layout, purse).buy.length === 0);

/** On both sides, or on two tracks of a project, each of which is mono. */
const isStereo = ({ channels, inputs }: Arrival): boolean => channels === 'both' || inputs.length > 1;

/** Whether the pipeline's answer is what was asked for, but for its level and how far it stands over the noise, which a better gain may change. */
export function goesWhereAsked(
  layout: Layout,
  { judged, facts }: { readonly judged: Outcome; readonly facts: Facts },
  request: RouteRequest,
): boolean {
  const { wishes = {} } = request;
  const { arrives, listeners } = judged;
  if (!isSoundButLow(judged) || arrives.length === 0) return false;
  if (arrives.some((a) => a.state !== 'recorded')) return false;
  if (wishes.channels === 'stereo' && !arrives.every((a) => isStereo(a) && keepsItsSides(facts, a)))
    return false;
  if (wishes.channels === 'mixed' && arrives.some((a) => a.channels !== 'both' && a.channels !== 'mono'))
    return false;
  const [first] = layout.recorders;
  const heard = listeners.some(({ hears }) => hears.some(({ device }) => device === first));
  if ((wishes.hear || wishes.guests) && !heard) return false;
  if (wishes.risk === 'proven' && arrives.some((a) => !isProven(a.evidence.kind))) return false;
  return isBridged(layout, stretchesOf(layout, request));
}

/** Whether the pipeline's answer is what was asked for. */
export const meets = (layout: Layout, judged: Outcome, facts: Facts, request: RouteRequest): boolean =>
  judged.verdict === 'clean' &&
  goesWhereAsked(layout, { judged, facts }, request) &&
  judged.arrives.every((arrival) => overNoise(arrival) >= LEAST_OVER_NOISE);

const isProven = (kind: string): boolean => kind === 'tested by you' || kind === 'common practice';

/** The same question with one wish less; without a length everything is in one place. */
export function without({ distances, ...request }: RouteRequest, wish: WishName): RouteRequest {
  const { [wish]: _given, ...wishes } = request.wishes ?? {};
  return { ...request, wishes, ...(distances && wish !== 'length' && { distances }) };
}
