import { FAR_DOWN } from '../bother';
import type { Facts } from '../../engine';
import { arrivalChains } from '../../engine/levels';
import type { Part } from '../../parts';
import { partOf, settingOf, type Rig } from '../../rig';
import type { Chain, Stage } from '../../engine/flow';

const roomOf = ({ clipLevel, peak }: Stage): number => (clipLevel === null ? NaN : clipLevel - peak);

/** Whether a person turns a part by knobs. */
export const hasKnobs = ({ settings = [] }: Part): boolean => settings.some(({ kind }) => kind === 'knob');

const isTurned = (rig: Rig, { placed }: Stage): boolean => {
  const part = partOf(rig, placed);
  return part !== undefined && hasKnobs(part);
};

const isMisfit = (rig: Rig, { stages }: Chain): boolean => {
  const last = stages.at(-1);
  return (
    last !== undefined &&
    stages.some(
      (stage) =>
        stage.is === 'output' &&
        stage.placed !== last.placed &&
        isTurned(rig, stage) &&
        roomOf(stage) - roomOf(last) >= FAR_DOWN,
    )
  );
};

/** Nobody speaks into it: it plays. */
const plays = ({ circuit }: Part): boolean =>
  circuit.every((e) => e.kind !== 'electret' && !(e.kind === 'signal' && e.hears === 'voice'));

/** Whether what plays is turned down so far under where its knob stands as delivered that it plays at the level of a microphone. */
const isTurnedDown = ({ laid }: Facts, { source }: Chain): boolean => {
  const own = laid.get(source);
  if (!own || !plays(own.part)) return false;
  return (own.part.settings ?? []).some((setting) => {
    const value = settingOf(own, setting.id);
    return setting.kind === 'knob' && typeof value === 'number' && setting.initial - value >= FAR_DOWN;
  });
};

/** A mixer's line output into a microphone input, kept from clipping by its knobs alone, or what plays by its volume alone: a pad or a line input serves better. */
export const isTouchy = (facts: Facts): boolean =>
  arrivalChains(facts).some((chain) => isMisfit(facts.rig, chain) || isTurnedDown(facts, chain));
