import type { Quantity } from '../parts';
import { figureOf, nodeKey } from '../engine/circuit';
import type { Facts } from '../engine';
import { settingOf, type LaidPart } from '../rig';
import { failing } from './failing';
import { check } from './check';
import { SWITCH } from './origins';
import { deadPaths, leadsToRecorder } from './stages';

/** The switch that makes a figure minus infinity. */
function offBy(quantity: Quantity, laid: LaidPart): string | undefined {
  return typeof quantity === 'object' && 'setting' in quantity && figureOf(quantity, laid) === -Infinity
    ? quantity.setting
    : undefined;
}

interface Off {
  readonly part: string;
  readonly setting: string;
}

/** A mute switch of the source itself. */
function atSource(facts: Facts, source: string): Off[] {
  const laid = facts.laid.get(source);
  if (!laid || !facts.isLive(source)) return [];
  return laid.part.circuit.flatMap((element) => {
    const setting =
      element.kind === 'signal' && element.hears !== 'playback'
        ? offBy(element.sensitivity, laid)
        : undefined;
    const muted =
      element.kind === 'signal'
        ? (element.mutedBy ?? []).filter((by) => settingOf(laid, by.setting) === by.is)
        : [];
    return [...(setting === undefined ? [] : [setting]), ...muted.map((by) => by.setting)].map((id) => ({
      part: source,
      setting: id,
    }));
  });
}

/** A switch of a stage at which the source stands and which would let it on toward the recorder. */
function onTheWay(facts: Facts, source: string, recorder: string): Off[] {
  return deadPaths(facts, source).flatMap(({ placed, from, to }) => {
    const laid = facts.laid.get(placed);
    if (!laid || !facts.isLive(placed) || !leadsToRecorder(facts, to, recorder)) return [];
    const key = (node: string) => nodeKey(placed, node);
    const path = laid.part.paths?.find((p) => key(p.from) === from && key(p.to) === to);
    const settings = (path?.gain ?? []).flatMap((gain) => offBy(gain, laid) ?? []);
    return settings.map((setting) => ({ part: placed, setting }));
  });
}

/** An input that its host would take if it were not turned off, by a switch or by an answer to a question. */
function atInput(facts: Facts, recorder: string): Off[] {
  return facts.inputs
    .filter((input) => input.host === recorder && input.plugged && input.accepted && !input.on)
    .map((input) => ({ part: input.placed, setting: input.capture.on?.setting ?? '' }));
}

/** A source that a switch somewhere on its way keeps out: muted, off, a channel that is closed, an input not chosen. */
export const switchedOff = check({
  code: 'switched-off',
  means: 'A mute, a channel switch or an answer to a question keeps the source out.',
  severity: ['blocks'],
  origin: SWITCH,
  limit: 'Where the switch stands.',
  cures: ['named', 'switch'],
  assume: ({ where, setting }) =>
    where.part === undefined || setting === undefined
      ? undefined
      : { kind: 'turned', part: where.part, setting },
  find: (facts) =>
    failing(facts).flatMap(({ arrival: { source, recorder } }) =>
      [...atSource(facts, source), ...onTheWay(facts, source, recorder), ...atInput(facts, recorder)].map(
        ({ part, setting }) => ({ where: { part }, source, recorder, other: part, setting, values: [] }),
      ),
    ),
});
