import type { Control, Place } from '../settings/controls';
import type { ChainModel } from './model';
import { addScores, compareScores, NO_SCORE, offTarget, SAME, type Aim, type Score } from './score';

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
  readonly key?: string;
  readonly turned: readonly Turned[];
  readonly rooms: readonly number[];
  readonly ratios: readonly number[];
}

/** How far a chain has come: what was turned up to here, what that costs, and by what it came. */
interface Come extends Score {
  readonly gain: number;
  readonly place?: readonly [key: string, place: Place];
  readonly before?: Come;
}

/**
 * The best places of one chain's controls: dynamic programming over the gain so far (Bellman 1957). What comes after a control hangs
 * on what was turned before it by the sum alone, and sums are of steps, and few: of all ways to a sum the best goes on. What a chain
 * comes to before a control that is given from outside is worked out once for all places of it.
 */
class ChainSolver {
  private readonly stretches: readonly Stretch[];
  /** By the places of what is given up to each stretch. */
  private readonly known: readonly Map<string, readonly Come[]>[];
  private readonly byGiven = new Map<string, Come>();
  /** Of each stretch: the controls up to it that are given from outside. */
  private readonly givenUpTo: readonly (readonly string[])[];
  private readonly given: readonly string[];
  /** It hangs on every shared control: no two ways to set them are one to it. */
  private readonly hangsOnAll: boolean;
  /** The places of the last control, the least gain first. */
  private ascending: readonly Turned[] | undefined;

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
        key: keyOf(control),
        turned: control.places.map((place) => this.turnedTo(control, place)),
        ...within(control.from, ends[n + 1] ?? 0),
      })),
    ];
    const isGiven = ({ control }: Stretch) => control !== undefined && shared.has(keyOf(control));
    this.givenUpTo = this.stretches.map((_, n) =>
      this.stretches
        .slice(0, n + 1)
        .flatMap((one) => (isGiven(one) && one.control ? [keyOf(one.control)] : [])),
    );
    this.given = this.givenUpTo.at(-1) ?? [];
    this.hangsOnAll = this.given.length === shared.size;
    this.known = this.stretches.map(() => new Map<string, readonly Come[]>());
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

  /** On through a stretch, its control turned by so much: too little room there, and the noise that comes in. */
  private through(come: Come, { rooms, ratios }: Stretch, way: Turned | undefined): Come {
    const gain = come.gain + (way?.by ?? 0);
    let { over, noise } = come;
    for (const room of rooms) over += Math.max(0, this.aim.headroom - room + gain);
    if (ratios.length > 0) {
      const down = 10 ** (-gain / 10);
      for (const ratio of ratios) noise += ratio * down;
    }
    const [lean, moved] = [come.lean + (way?.lean ?? 0), come.moved + (way?.moved ?? 0)];
    return { gain, over, off: 0, lean, noise, moved, before: come, ...(way && { place: way.named }) };
  }

  /** The best ways through the stretches up to one, for each sum of what was turned one; the least sum first. */
  private upTo(n: number, fixed: Chosen): readonly Come[] {
    const key = (this.givenUpTo[n] ?? []).map((name) => fixed.get(name)?.decibels).join();
    const known = this.known[n]?.get(key);
    if (known) return known;
    const stretch = this.stretches[n];
    if (!stretch) return [{ ...NO_SCORE, gain: 0 }];
    const best = new Map<number, Come>();
    const ways = this.waysOf(stretch, fixed);
    for (const come of this.upTo(n - 1, fixed)) {
      for (const way of ways) {
        const next = this.through(come, stretch, way);
        const sum = Math.round(next.gain * 1e4);
        const other = best.get(sum);
        if (!other || compareScores(next, other) < 0) best.set(sum, next);
      }
    }
    const found = [...best.values()].sort((a, b) => a.gain - b.gain);
    this.known[n]?.set(key, found);
    return found;
  }

  /** Ways to set a stretch's own control: as it is given, else to each of its places; one where it has none. */
  private waysOf({ turned, control, key = '' }: Stretch, fixed: Chosen): readonly (Turned | undefined)[] {
    if (!control) return [undefined];
    const set = fixed.get(key);
    return set ? [{ named: [key, set], by: set.decibels - control.stands, moved: 0, lean: 0 }] : turned;
  }

  /** The best score where those controls are given; of other chains' controls nothing hangs on it. */
  score(fixed: Chosen): Score {
    return this.best(fixed);
  }

  private best(fixed: Chosen): Come {
    if (this.hangsOnAll) return this.bestOf(fixed);
    const key = this.given.map((name) => fixed.get(name)?.decibels).join();
    const known = this.byGiven.get(key) ?? this.bestOf(fixed);
    this.byGiven.set(key, known);
    return known;
  }

  /**
   * The last stretch is not kept: of what is given there no two are alike. Where one thing comes to it, the places of its control are gone through
   * from where the target is met; else what comes, for each place. Of equals the least turned up there.
   */
  private bestOf(fixed: Chosen): Come {
    const n = this.stretches.length - 1;
    const stretch = this.stretches[n] ?? { turned: [], rooms: [], ratios: [] };
    const comes = this.upTo(n - 1, fixed);
    const ways = this.waysOf(stretch, fixed);
    const [only, ...others] = comes;
    if (only && others.length === 0 && ways.length === 1) {
      const come = this.through(only, stretch, ways[0]);
      return { ...come, off: offTarget(this.model.peak + come.gain, this.aim) };
    }
    let best: { readonly come: Come; readonly by: number } | undefined;
    /** Looks at one; true where those farther from the target cannot be better. */
    const look = (before: Come, way: Turned | undefined): boolean => {
      const off = offTarget(this.model.peak + before.gain + byOf(way), this.aim);
      // Too little room only grows, and what is off the target decides next: farther from it than the best none can be better than with all room.
      const isFarther = best !== undefined && off > best.come.off + SAME;
      if (best && isFarther && best.come.over <= 0) return true;
      if (best && isFarther && before.over >= best.come.over) return false;
      const come = { ...this.through(before, stretch, way), off };
      const by = byOf(way);
      const order = best ? compareScores(come, best.come) : -1;
      if (!best || order < 0 || (order === 0 && by < best.by)) best = { come, by };
      return false;
    };
    const wanted = this.aim.target - this.model.peak;
    if (ways === stretch.turned && only && others.length === 0) {
      const ascending = (this.ascending ??= stretch.turned.toSorted((a, b) => a.by - b.by));
      for (const way of nearest(ascending, byOf, wanted - only.gain)) if (look(only, way)) break;
    } else {
      for (const way of ways)
        for (const come of nearest(comes, gainOf, wanted - byOf(way))) if (look(come, way)) break;
    }
    return best?.come ?? { ...NO_SCORE, gain: 0 };
  }

  chosen(fixed: Chosen): Chosen {
    const chosen = new Map<string, Place>();
    for (let at: Come | undefined = this.best(fixed); at; at = at.before)
      if (at.place) chosen.set(...at.place);
    return chosen;
  }
}

const byOf = (way: Turned | undefined): number => way?.by ?? 0;
const gainOf = ({ gain }: Come): number => gain;

/** In the order of how far they are from a gain, the nearest first; of a list by gain. */
function* nearest<T extends object>(
  list: readonly T[],
  gainAt: (one: T) => number,
  gain: number,
): Generator<T> {
  let [low, high] = [0, list.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    const one = list[middle];
    if (one && gainAt(one) < gain) low = middle + 1;
    else high = middle;
  }
  for (let [down, up] = [low - 1, low]; down >= 0 || up < list.length;) {
    const [under, over] = [list[down], list[up]];
    const isUnder = under && (!over || gain - gainAt(under) <= gainAt(over) - gain);
    if (isUnder) down -= 1;
    else up += 1;
    const next = isUnder ? under : over;
    if (next) yield next;
  }
}

/** More ways to set what several chains share are not all weighed, unless somebody asks for fewer. */
export const MOST_SHARED = 10_000;

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

function solveGroup(group: readonly ChainModel[], aim: Aim, mostShared: number): Solution {
  const all = new Map(group.flatMap((model) => model.controls.map((c) => [keyOf(c), c] as const)));
  const shared = [...all].flatMap(([key, control]) =>
    group.filter((model) => model.controls.some((c) => keyOf(c) === key)).length > 1 ? [control] : [],
  );
  const most = Math.max(2, Math.floor(mostShared ** (1 / Math.max(1, shared.length))));
  const exact = shared.reduce((count, { places }) => count * places.length, 1) <= mostShared;
  const keys = new Map(shared.map((control) => [control, keyOf(control)]));
  const names = new Set(keys.values());
  const solvers = group.map((model) => new ChainSolver(model, aim, names));
  const weigh = (fixed: Chosen): Score => {
    let [moved, lean] = [0, 0];
    for (const control of shared) {
      const place = fixed.get(keys.get(control) ?? '');
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
export function solve(models: readonly ChainModel[], aim: Aim, mostShared = MOST_SHARED): Solution {
  const solved = groups(models).map((group) => solveGroup(group, aim, mostShared));
  return {
    chosen: new Map(solved.flatMap(({ chosen }) => [...chosen])),
    score: solved.reduce((sum, { score }) => addScores(sum, score), NO_SCORE),
    exact: solved.every(({ exact }) => exact),
  };
}
