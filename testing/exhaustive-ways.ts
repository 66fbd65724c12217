import { APPS } from '../src/core/apps';
import type { Part } from '../src/core/parts';
import { mate } from '../src/core/plugs';
import { outcomeOf } from '../src/core/judge';
import { applyEdit, partIn, type PortRef, type Rig, type RigEdit } from '../src/core/rig';

interface Priced {
  readonly edit: RigEdit;
  readonly cost: number;
}

const BUY = 5;

const portsOf = (rig: Rig) =>
  rig.parts.flatMap(({ id, part }) =>
    (partIn(rig, part)?.ports ?? []).map((port) => ({ ref: { part: id, port: port.id } as PortRef, port })),
  );

const isTaken = (rig: Rig, { part, port }: PortRef): boolean =>
  rig.joints.some((j) => [j.plug, j.jack].some((end) => end.part === part && end.port === port));

/** A box with an amplifier in it is not set aside lightly. */
const aside = (rig: Rig, id: string): number => {
  const placed = rig.parts.find((one) => one.id === id);
  return ((placed && partIn(rig, placed.part)?.paths) ?? []).length > 0 ? 15 : 0;
};

/** A plug that hangs loose into a free socket. */
const joined = (rig: Rig): Priced[] =>
  portsOf(rig).flatMap((one) =>
    portsOf(rig)
      .filter((other) => one.port.gender === 'plug' && mate(one.port, other.port).fits)
      .filter((other) => ![one, other].some(({ ref }) => isTaken(rig, ref)))
      .filter((other) => one.ref.part !== other.ref.part)
      .map((other) => ({ edit: { kind: 'join', a: one.ref, b: other.ref }, cost: 1 }) as const),
  );

/** Every way of choosing a different port for each of some sockets. */
function assignments(part: Part, sockets: readonly Part['ports'][number][]): string[][] {
  return sockets.reduce<string[][]>(
    (ways, socket) =>
      ways.flatMap((way) =>
        part.ports
          .filter((port) => !way.includes(port.id) && mate(port, socket).fits)
          .map((port) => [...way, port.id]),
      ),
    [[]],
  );
}

/** Places of switches, knobs and choices, and apps: to turn a knob far down is dear. */
function turned(rig: Rig): Priced[] {
  return rig.parts.flatMap((placed) => {
    const part = partIn(rig, placed.part);
    const settings = (part?.settings ?? []).flatMap((setting): Priced[] => {
      if (setting.kind === 'switch') {
        return setting.options.map(({ id }) => ({
          edit: { kind: 'set', part: placed.id, setting: setting.id, option: id },
          cost: 1,
        }));
      }
      const places = Array.from(
        { length: Math.floor((setting.to - setting.from) / setting.step + 1e-9) + 1 },
        (_, n) => setting.from + n * setting.step,
      );
      return places.map((option) => ({
        edit: { kind: 'set', part: placed.id, setting: setting.id, option },
        cost:
          option > setting.from &&
          option <= -24 &&
          option < Number(placed.settings?.[setting.id] ?? setting.initial)
            ? 26
            : 1,
      }));
    });
    if (!part?.host?.runsApps) return settings;
    const app = APPS.find(({ id }) => id === (placed.app ?? 'camera-app'));
    const choices = (app?.choices ?? []).flatMap((choice): Priced[] =>
      choice.kind === 'switch'
        ? choice.options.map(({ id }) => ({
            edit: { kind: 'choose', part: placed.id, choice: choice.id, option: id },
            cost: 1,
          }))
        : [],
    );
    const apps = APPS.map(({ id }): Priced => ({
      edit: { kind: 'app', part: placed.id, app: id },
      cost: 40,
    }));
    return [...settings, ...choices, ...apps];
  });
}

/** Plugs to other sockets, leads the other way round, things taken out. */
function replugged(rig: Rig): Priced[] {
  const moves = rig.joints.flatMap((joint) =>
    [joint.plug, joint.jack].flatMap((from) =>
      portsOf(rig)
        .filter(({ ref }) => !isTaken(rig, ref))
        .map(({ ref }): Priced => ({ edit: { kind: 'move', joint: joint.id, from, to: ref }, cost: 2 })),
    ),
  );
  const meant = [...rig.purpose.sources, ...rig.purpose.recorders];
  const rest = rig.parts.flatMap(({ id }): Priced[] => {
    const joints = rig.joints.filter((j) => j.plug.part === id || j.jack.part === id).map((j) => j.id);
    const cost = (meant.includes(id) ? 62 : 2) + aside(rig, id);
    const pairs = joints.flatMap((a) => joints.filter((b) => b !== a).map((b) => [a, b] as const));
    return [
      { edit: { kind: 'turn', part: id }, cost: 1 },
      { edit: { kind: 'remove', part: id }, cost },
      ...pairs.map((two) => ({ edit: { kind: 'bypass', part: id, joints: two }, cost }) as const),
    ];
  });
  return [...moves, ...rest];
}

/** Each part of a list in the place of another, between the ends of a joint, or at a free port. */
function brought(rig: Rig, list: readonly Part[]): Priced[] {
  return list.flatMap((part): Priced[] => {
    const price = part.price + BUY;
    const swaps = rig.parts.flatMap(({ id }): Priced[] => {
      if (rig.purpose.sources.includes(id) || rig.purpose.recorders.includes(id)) return [];
      const fars = rig.joints.flatMap((j) =>
        j.plug.part === id ? [j.jack] : j.jack.part === id ? [j.plug] : [],
      );
      const sockets = fars.flatMap((far) =>
        portsOf(rig).filter(({ ref }) => ref.part === far.part && ref.port === far.port),
      );
      return assignments(
        part,
        sockets.map(({ port }) => port),
      ).map((ports) => ({
        edit: { kind: 'swap', part: id, to: part.id, ports },
        cost: price + 2 + aside(rig, id),
      }));
    });
    const inserts = rig.joints.flatMap((joint): Priced[] => {
      const ends = [joint.plug, joint.jack].flatMap((end) =>
        portsOf(rig).filter(({ ref }) => ref.part === end.part && ref.port === end.port),
      );
      return assignments(
        part,
        ends.map(({ port }) => port),
      ).flatMap(([a, b]) =>
        a && b
          ? [{ edit: { kind: 'insert', joint: joint.id, part: part.id, ports: [a, b] }, cost: price + 5 }]
          : [],
      );
    });
    const adds = portsOf(rig)
      .filter(({ ref }) => !isTaken(rig, ref))
      .flatMap(({ ref, port }) =>
        assignments(part, [port]).map(([own]): Priced => ({
          edit: { kind: 'add', part: part.id, port: own ?? '', at: ref },
          cost: price + 3,
        })),
      );
    return [...swaps, ...inserts, ...adds];
  });
}

const isClean = (rig: Rig): boolean => {
  const { verdict, findings } = outcomeOf(rig);
  return verdict === 'clean' && findings.every(({ severity }) => severity === 'note');
};

/**
 * The least cost of a sequence of edits after which a rig is clean, by trying every sequence of at most `depth` edits that costs
 * less than `under`; undefined where there is none. Written from the definition: slow, and all there is.
 */
export function lightestWay(
  rig: Rig,
  list: readonly Part[],
  depth: number,
  under: number,
): number | undefined {
  let best: number | undefined;
  const reached = new Map<string, number>();
  const go = (at: Rig, spent: number, left: number): void => {
    const key = JSON.stringify([at.parts, at.joints]);
    const before = reached.get(`${key} ${left}`);
    if (before !== undefined && before <= spent) return;
    reached.set(`${key} ${left}`, spent);
    if (isClean(at)) {
      best = Math.min(best ?? Infinity, spent);
      return;
    }
    if (left === 0) return;
    for (const { edit, cost } of [...turned(at), ...joined(at), ...replugged(at), ...brought(at, list)]) {
      if (spent + cost >= (best ?? under) - 1e-9) continue;
      const next = applyEdit(at, edit);
      if (next !== at) go(next, spent + cost, left - 1);
    }
  };
  go(rig, 0, depth);
  return best;
}
