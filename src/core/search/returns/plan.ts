import { allFacts, type Facts } from '../../engine';
import { leadsToRecorder, sensesOf } from '../../checks';
import { nodeKey } from '../../engine/circuit';
import { comesTo } from '../../engine/flow';
import { hearing, isHeard, type Heard, type Hearing } from '../../engine/hearing';
import { applyEdit, laidParts, settingOf, type LaidPart, type Rig, type RigEdit } from '../../rig';

/** A knob that can be turned down to nothing: a send, a fader, a level. */
interface Tap {
  readonly part: string;
  readonly setting: string;
  readonly stands: number;
  /** Out, and where nothing is added or taken. */
  readonly out: number;
  readonly unity: number;
}

/** Settings by which everyone at a far end hears everyone but themself. */
export interface ReturnsPlan {
  readonly edits: readonly RigEdit[];
  /** Who is still not heard by whom, and who still hears themself, when all is set. */
  readonly missing: readonly Heard[];
  readonly echoing: readonly string[];
  /** Nobody is missing and nobody hears themself: as the pipeline finds it. */
  readonly proved: boolean;
}

/** A knob that goes down so far is as good as out, dB. */
const OUT_AT = -40;

const tapsOf = ({ placed, part }: LaidPart): Tap[] =>
  (part.settings ?? []).flatMap((setting): Tap[] =>
    setting.kind === 'knob' && setting.from <= OUT_AT && (part.paths?.length ?? 0) > 0
      ? [
          {
            part: placed.id,
            setting: setting.id,
            stands: Number(settingOf({ placed, part }, setting.id)),
            out: setting.from,
            unity: Math.min(setting.to, 0),
          },
        ]
      : [],
  );

const turn = ({ part, setting }: Tap, option: number): RigEdit => ({ kind: 'set', part, setting, option });
const keyOf = ({ listener, voice }: Pick<Heard, 'listener' | 'voice'>): string => `${listener} ← ${voice}`;

const hearingOf = (rig: Rig): Hearing => hearing(allFacts(rig)[0]);
const heardIn = (found: Hearing): Set<string> => new Set(found.cells.filter(isHeard).map(keyOf));

/** Cells at the far ends: those that are wanted, and one’s own. */
function wishes({ hearers, cells }: Hearing) {
  const callers = new Set(hearers.flatMap(({ id, is }) => (is === 'caller' ? [id] : [])));
  const atCallers = cells.filter(({ listener }) => callers.has(listener));
  return {
    wanted: new Set(atCallers.filter((c) => c.listener !== c.voice).map(keyOf)),
    own: new Set(atCallers.filter((c) => c.listener === c.voice).map(keyOf)),
    others: new Set(cells.filter(({ listener }) => !callers.has(listener)).map(keyOf)),
  };
}

const all = (rig: Rig, edits: readonly RigEdit[]): Rig => edits.reduce(applyEdit, rig);

/**
 * Whether any voice stands at the input of a stage on which the knob sits, and the stage leads to a far end: the rest of a mixer is
 * empty, or has nothing to do with callers.
 */
function isReached(facts: Facts, { placed, part }: LaidPart, tap: Tap, callers: readonly string[]): boolean {
  const sounds = [...facts.voices, ...facts.playing].map(({ id }) => id);
  const senses = sensesOf(facts);
  return (part.paths ?? [])
    .filter(({ gain }) => gain.some((g) => typeof g === 'object' && 'knob' in g && g.knob === tap.setting))
    .some(({ from, to }) => {
      const sense = senses.get(nodeKey(placed.id, from));
      const leads = () => callers.some((id) => leadsToRecorder(facts, nodeKey(placed.id, to), id));
      return sense !== undefined && comesTo(facts, sounds, sense) && leads();
    });
}

const plans = new WeakMap<Rig, ReturnsPlan | { readonly none: true }>();

/** What each knob alone lets through, found by shutting it while all others are open. */
function controls(rig: Rig, taps: readonly Tap[]) {
  const opening = taps.filter((tap) => tap.stands <= OUT_AT).map((tap) => turn(tap, tap.unity));
  const open = all(rig, opening);
  const whole = heardIn(hearingOf(open));
  const of = taps.map((tap) => {
    const left = heardIn(hearingOf(applyEdit(open, turn(tap, tap.out))));
    return { tap, cells: [...whole].filter((key) => !left.has(key)) };
  });
  return of;
}

/**
 * Everyone at a far end hears everyone but themself, by knobs alone: what lets only one’s own voice through is shut, what lets only
 * others through is opened, and knobs on which a room’s ears or a recording hang are left. Undefined where nobody is at a far end.
 */
export function planReturns(rig: Rig): ReturnsPlan | undefined {
  const known = plans.get(rig) ?? solved(rig) ?? { none: true };
  plans.set(rig, known);
  return 'none' in known ? undefined : known;
}

function solved(rig: Rig): ReturnsPlan | undefined {
  const before = hearingOf(rig);
  const { wanted, own, others } = wishes(before);
  if (own.size === 0) return undefined;
  const facts = allFacts(rig)[0];
  const callers = before.hearers.flatMap(({ id, is }) => (is === 'caller' ? [id] : []));
  const taps = laidParts(rig).flatMap((laid) =>
    tapsOf(laid).filter((tap) => isReached(facts, laid, tap, callers)),
  );
  const edits = controls(rig, taps).flatMap(({ tap, cells }): RigEdit[] => {
    if (cells.length === 0 || cells.some((key) => others.has(key))) return [];
    const shuts = cells.some((key) => own.has(key));
    const opens = cells.some((key) => wanted.has(key));
    if (shuts && !opens) return tap.stands > OUT_AT ? [turn(tap, tap.out)] : [];
    if (shuts || !opens) return [];
    const quiet = before.cells.some((cell) => cells.includes(keyOf(cell)) && !isHeard(cell));
    return quiet ? [turn(tap, tap.unity)] : [];
  });
  return judged(rig, edits);
}

/** What a plan comes to, by the pipeline. */
function judged(rig: Rig, edits: readonly RigEdit[]): ReturnsPlan {
  const after = hearingOf(all(rig, edits));
  const { wanted, own } = wishes(after);
  const missing = after.cells.filter((cell) => wanted.has(keyOf(cell)) && !isHeard(cell));
  const echoing = after.cells.filter((cell) => own.has(keyOf(cell)) && isHeard(cell)).map((c) => c.listener);
  return { edits, missing, echoing, proved: missing.length === 0 && echoing.length === 0 };
}
