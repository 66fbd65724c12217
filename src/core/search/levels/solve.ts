import type { Control, Place } from '../settings/controls';
import type { ChainModel } from './model';
import { addScores, compareScores, NO_SCORE, offTarget, type Aim, type Score } from './score';

export type Chosen = ReadonlyMap<string, Place>;

/** Settings with what the sums say of them. */
export interface Solution {
  readonly chosen: Chosen;
  readonly score: Score;
  /** Every setting was weighed: nothing is better by these sums. */
  readonly exact: boolean;
}

export const keyOf = ({ part, setting }: Control): string => `${part} ${setting}`;

/** How much an aim dislikes a control's place. */
function leansOn({ recorder, source, last }: ChainModel, aim: Aim, control: Control, place: Place): number {
  const low = aim.lean === 'low-recorder' && (control.part === recorder || control.from === last);
  const quiet = aim.lean === 'low-source' && control.part === source;
  return low || quiet ? place.decibels - (control.places[0]?.decibels ?? 0) : 0;
}

/** A place with all that it costs by itself. */
interface Turned {
  readonly named: readonly [key: string, place: Place];
  readonly by: number;
  readonly moved: number;
  readonly lean: number;
}

/** A stretch of a chain from one control to the next: what it bears and what hisses in, as they stand. */
interface Stretch {
  readonly control?: Control;
  readonly turned: readonly Turned[];
  readonly rooms: readonly number[];
  readonly ratios: readonly number[];
}

/** The best of the rest of a chain: its score, and the place of its first control, with what follows that. */
interface Rest {
  readonly score: Score;
  readonly place?: readonly [key: string, place: Place];
  readonly then?: Rest;
}

/**
 * The best places of one chain's controls: dynamic programming over the gain so far (Bellman 1957). What comes after a control hangs
 * on what was turned before it by the sum alone, and sums are of steps, and few.
 */
class ChainSolver {
  private readonly stretches: readonly Stretch[];
  private readonly known: readonly Map<number, Rest>[];
  private readonly byGiven = new Map<string, Rest>();
  /** Of each stretch: whether a control after it is given from outside. */
  private readonly isGivenAfter: readonly boolean[];
  private readonly given: readonly string[];
  /** It hangs on every shared control: no two ways to set them are one to it. */
  private readonly hangsOnAll: boolean;

  constructor(
    private readonly model: ChainModel,
    private readonly aim: Aim,
    shared: ReadonlySet<string>,
  ) {
    const controls = model.controls.toSorted((a, b) => a.from - b.from);
    const within = (from: number, to: number) => ({
      rooms: model.bearings.flatMap(({ index, room }) => (index >= from && index < to ? [room] : [])),
      ratios: model.hisses.flatMap(({ index, ratio }) => (index >= from && index < to ? [ratio] : [])),
    });
    const ends = [...controls.map(({ from }) => from), model.last + 1];
    this.stretches = [
      { turned: [], ...within(-1, ends[0] ?? 0) },
      ...controls.map((control, n) => ({
        control,
        turned: control.places.map((place) => this.turnedTo(control, place)),
        ...within(control.from, ends[n + 1] ?? 0),
      })),
    ];
    const isGiven = ({ control }: Stretch) => control !== undefined && shared.has(keyOf(control));
    this.isGivenAfter = this.stretches.map((_, n) => this.stretches.slice(n + 1).some(isGiven));
    this.given = this.stretches.flatMap((one) => (isGiven(one) && one.control ? [keyOf(one.control)] : []));
    this.hangsOnAll = this.given.length === shared.size;
    this.known = this.stretches.map(() => new Map<number, Rest>());
  }

  private turnedTo(control: Control, place: Place): Turned {
    const by = place.decibels - control.stands;
    return {
      named: [keyOf(control), place],
      by,
      moved: Math.abs(by) < 1e-9 ? 0 : 1,
      lean: leansOn(this.model, this.aim, control, place),
    };
  }

  /** Too little room, and the noise that comes in, on a stretch ahead of which so much was turned. */
  private on({ rooms, ratios }: Stretch, gain: number): Score {
    let [over, noise] = [0, 0];
    for (const room of rooms) over += Math.max(0, this.aim.headroom - room + gain);
    const down = 10 ** (-gain / 10);
    for (const ratio of ratios) noise += ratio * down;
    return { ...NO_SCORE, over, noise };
  }

  /** The best from a stretch on, its own control being turned. */
  private from(n: number, gain: number, fixed: Chosen): Rest {
    const kept = this.isGivenAfter[n] ? undefined : this.known[n];
    const key = Math.round(gain * 1e4);
    const known = kept?.get(key);
    if (known) return known;
    const stretch = this.stretches[n];
    const own = stretch ? this.on(stretch, gain) : NO_SCORE;
    const next = this.stretches[n + 1];
    let best: Rest | undefined;
    for (const way of next?.control ? this.waysOf(next, next.control, fixed) : []) {
      const then = this.from(n + 1, gain + way.by, fixed);
      const { over, off, lean, noise, moved } = then.score;
      const score = {
        over: over + own.over,
        off,
        lean: lean + way.lean,
        noise: noise + own.noise,
        moved: moved + way.moved,
      };
      if (!best || compareScores(score, best.score) < 0) best = { score, then, place: way.named };
    }
    const found = best ?? { score: { ...own, off: offTarget(this.model.peak + gain, this.aim) } };
    kept?.set(key, found);
    return found;
  }

  private waysOf({ turned }: Stretch, control: Control, fixed: Chosen): readonly Turned[] {
    const set = fixed.get(keyOf(control));
    return set ? [{ ...this.turnedTo(control, set), moved: 0, lean: 0 }] : turned;
  }

  /** The best score where those controls are given; of other chains' controls nothing hangs on it. */
  score(fixed: Chosen): Score {
    return this.rest(fixed).score;
  }

  private rest(fixed: Chosen): Rest {
    if (this.hangsOnAll) return this.from(0, 0, fixed);
    const key = this.given.map((name) => fixed.get(name)?.decibels).join();
    const known = this.byGiven.get(key) ?? this.from(0, 0, fixed);
    this.byGiven.set(key, known);
    return known;
  }

  chosen(fixed: Chosen): Chosen {
    const chosen = new Map<string, Place>();
    for (let at: Rest | undefined = this.rest(fixed); at; at = at.then) if (at.place) chosen.set(...at.place);
    return chosen;
  }
}

/** More ways to set what several chains share are not all weighed. */
const MOST_SHARED = 10_000;

/** Places of a control, thinned out to so many. */
function thinned(places: readonly Place[], most: number): readonly Place[] {
  if (places.length <= most) return places;
  const step = (places.length - 1) / (most - 1);
  return Array.from({ length: most }, (_, n) => places[Math.round(n * step)]).flatMap((p) => p ?? []);
}

/** Every way to set some controls. The map that is given is the same each time, set anew. */
function* choices(
  controls: readonly Control[],
  places: (control: Control) => readonly Place[],
  into = new Map<string, Place>(),
): Generator<Chosen> {
  const [first, ...rest] = controls;
  if (!first) {
    yield into;
    return;
  }
  for (const place of places(first)) {
    into.set(keyOf(first), place);
    yield* choices(rest, places, into);
  }
}

/** Chains that share a control, together; each group is solved by itself. */
function groups(models: readonly ChainModel[]): ChainModel[][] {
  const found: ChainModel[][] = [];
  for (const model of models) {
    const keys = new Set(model.controls.map(keyOf));
    const touching = found.filter((group) =>
      group.some((one) => one.controls.some((c) => keys.has(keyOf(c)))),
    );
    for (const group of touching) found.splice(found.indexOf(group), 1);
    found.push([...touching.flat(), model]);
  }
  return found;
}

function solveGroup(group: readonly ChainModel[], aim: Aim): Solution {
  const all = new Map(group.flatMap((model) => model.controls.map((c) => [keyOf(c), c] as const)));
  const shared = [...all].flatMap(([key, control]) =>
    group.filter((model) => model.controls.some((c) => keyOf(c) === key)).length > 1 ? [control] : [],
  );
  const most = Math.max(2, Math.floor(MOST_SHARED ** (1 / Math.max(1, shared.length))));
  const exact = shared.reduce((count, { places }) => count * places.length, 1) <= MOST_SHARED;
  const names = new Set(shared.map(keyOf));
  const solvers = group.map((model) => new ChainSolver(model, aim, names));
  const weigh = (fixed: Chosen): Score => {
    let [moved, lean] = [0, 0];
    for (const control of shared) {
      const place = fixed.get(keyOf(control));
      if (!place) continue;
      if (Math.abs(place.decibels - control.stands) > 1e-9) moved += 1;
      // It counts once, for whichever of the chains it is disliked.
      lean += Math.max(...group.map((model) => leansOn(model, aim, control, place)));
    }
    return solvers.reduce((sum, one) => addScores(sum, one.score(fixed)), { ...NO_SCORE, moved, lean });
  };
  let best: { fixed: Chosen; score: Score } | undefined;
  const look = (places: (control: Control) => readonly Place[]) => {
    for (const fixed of choices(shared, places)) {
      const score = weigh(fixed);
      if (!best || compareScores(score, best.score) < 0) best = { fixed: new Map(fixed), score };
    }
  };
  look(({ places }) => (exact ? places : thinned(places, most)));
  // Around the best of the coarse ones once more.
  if (!exact) {
    const near = best?.fixed;
    look((control) => {
      const at = near?.get(keyOf(control))?.decibels ?? control.stands;
      const close = control.places.toSorted((a, b) => Math.abs(a.decibels - at) - Math.abs(b.decibels - at));
      return close.slice(0, most);
    });
  }
  const { fixed, score } = best ?? { fixed: new Map<string, Place>(), score: NO_SCORE };
  const chosen = new Map([...fixed, ...solvers.flatMap((one) => [...one.chosen(fixed)])]);
  return { chosen, score, exact };
}

/** The best places of every control of some chains by their sums. */
export function solve(models: readonly ChainModel[], aim: Aim): Solution {
  const solved = groups(models).map((group) => solveGroup(group, aim));
  return {
    chosen: new Map(solved.flatMap(({ chosen }) => [...chosen])),
    score: solved.reduce((sum, { score }) => addScores(sum, score), NO_SCORE),
    exact: solved.every(({ exact }) => exact),
  };
}
