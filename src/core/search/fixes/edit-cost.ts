import type { Part } from '../../parts';
import { partIn, partOf, laidParts, settingOf, type Rig, type RigEdit } from '../../rig';
import type { Drawer } from '../drawer';
import { isTouchy, TOUCHY, USUAL_BOTHER } from '../bother';

/** What an edit costs: the part that it needs, the money, and all of it in money. */
export interface EditCost {
  readonly part?: string;
  /** The drawer has it, or nothing is needed. */
  readonly owned: boolean;
  /** Typical price of what must be bought. */
  readonly price: number;
  /** Price and bother: what it costs to choose by. */
  readonly weight: number;
  /** It changes what the user came with: the source, the recorder, the app. */
  readonly last: boolean;
}

/** A switch, a choice, a plug: at hand. */
const AT_HAND = 1;
/** A plug out and in again: more than a knob. Ours. */
const REPLUGGED = 2;
/** One thing in the place of another, or one thing less. */
const EXCHANGE = 2;
/** Something more in a free socket. */
const ONE_MORE = 2 + USUAL_BOTHER.joint;
/** Something more in the way of the sound: one thing more to carry, one joint more to come loose. */
const BETWEEN = 4 + USUAL_BOTHER.joint;
/** A box that is there was got for something: to set it aside for another, or for a lead, is a pity. Ours. */
const SET_ASIDE = 15;
/** Another app is another way to work. */
const OTHER_APP = 40;
/** Who came with a microphone and a phone wants to use these. */
const CAME_WITH = 60;
const DOING: Readonly<Record<RigEdit['kind'], number>> = {
  set: AT_HAND,
  choose: AT_HAND,
  turn: AT_HAND,
  move: REPLUGGED,
  join: AT_HAND,
  unplug: AT_HAND,
  tracks: AT_HAND,
  mean: AT_HAND,
  label: 0,
  note: 0,
  rename: 0,
  policy: AT_HAND,
  voice: AT_HAND,
  distance: AT_HAND,
  air: AT_HAND,
  room: 0,
  person: AT_HAND,
  come: 0,
  leave: 0,
  outlet: AT_HAND,
  session: 0,
  site: 0,
  length: EXCHANGE,
  own: EXCHANGE,
  swap: EXCHANGE,
  remove: EXCHANGE,
  bypass: EXCHANGE,
  add: ONE_MORE,
  place: ONE_MORE,
  bridge: ONE_MORE + AT_HAND,
  insert: BETWEEN,
  app: OTHER_APP,
};

/** The part that an edit brings into the rig. */
export const neededPart = (edit: RigEdit): string | undefined =>
  edit.kind === 'swap'
    ? edit.to
    : edit.kind === 'insert' || edit.kind === 'add' || edit.kind === 'place' || edit.kind === 'bridge'
      ? edit.part
      : undefined;

/** Whether a knob is turned down until it is touchy; one that is turned up again gets no touchier. */
const turnsTouchy = (rig: Rig, edit: RigEdit): boolean => {
  if (edit.kind !== 'set') return false;
  const laid = laidParts(rig).find(({ placed }) => placed.id === edit.part);
  const setting = laid?.part.settings?.find(({ id }) => id === edit.setting);
  return (
    laid !== undefined &&
    setting !== undefined &&
    isTouchy(setting, edit.option) &&
    Number(edit.option) < Number(settingOf(laid, edit.setting))
  );
};

const isExchange = (edit: RigEdit): edit is Extract<RigEdit, { kind: 'swap' | 'remove' | 'bypass' }> =>
  edit.kind === 'swap' || edit.kind === 'remove' || edit.kind === 'bypass';

/** A box with an amplifier in it. */
const hasStages = (rig: Rig, id: string): boolean => (partOf(rig, id)?.paths ?? []).length > 0;

/** Whether it changes what the user came with. */
function bringsLast(rig: Rig, edit: RigEdit): boolean {
  if (edit.kind === 'app') return true;
  const { sources, recorders } = rig.purpose;
  return isExchange(edit) && [...sources, ...recorders].includes(edit.part);
}

/** What must be bought for one more of a part, where the rig uses some of those in the drawer. */
function toBuy(rig: Rig, part: Part | undefined, drawer: Drawer): { owned: boolean; price: number } {
  if (!part) return { owned: true, price: 0 };
  const used = rig.parts.filter((placed) => placed.part === part.id).length;
  const owned = (drawer[part.id] ?? 0) > used;
  return { owned, price: owned ? 0 : part.price };
}

/** The cost of an edit of a rig for somebody who has what is in the drawer beside what is laid out. */
export function costOfEdit(rig: Rig, edit: RigEdit, drawer: Drawer): EditCost {
  const part = neededPart(edit);
  const { owned, price } = toBuy(rig, part === undefined ? undefined : partIn(rig, part), drawer);
  const far = turnsTouchy(rig, edit) ? TOUCHY : 0;
  const last = bringsLast(rig, edit);
  const aside = isExchange(edit) && hasStages(rig, edit.part) ? SET_ASIDE : 0;
  const bother = DOING[edit.kind] + far + aside + (owned ? 0 : USUAL_BOTHER.piece);
  return {
    ...(part !== undefined && { part }),
    owned,
    price,
    weight: price + bother + (last && edit.kind !== 'app' ? CAME_WITH : 0),
    last,
  };
}
