import { allFacts } from '../../engine';
import { deafestAt, howl, type Howl } from '../../engine/air';
import { applyEdit, partOf, type Rig, type RigEdit } from '../../rig';

/** A change that gives a loop through the air more room, with what it leaves: worked out by the engine. */
export interface AirMove {
  readonly edit: RigEdit;
  readonly marginDb: number;
}

/** By this a volume is turned down, dB. */
const LOWER = 6;
/** A move that gives less than this is none, dB. */
const WORTH = 0.5;

/** The loudspeaker where the microphone is deafest, and twice as far. */
export function placed(rig: Rig, { speaker, microphone, placing }: Howl['worst']): RigEdit[] {
  const pattern = partOf(rig, microphone)?.pattern ?? 'omni';
  const place = (change: { metres?: number; degrees?: number }): RigEdit => ({
    kind: 'air',
    placing: { speaker, microphone, ...placing, ...change },
  });
  return [
    place({ degrees: Math.round(deafestAt(pattern)) }),
    place({ metres: Math.min(200, placing.metres * 2) }),
  ];
}

/** What to try with the worst pair: behind the microphone’s null, twice as far, lower. */
function tried(rig: Rig): RigEdit[] {
  const found = howl(allFacts(rig)[0]);
  if (!found) return [];
  const { speaker } = found.worst;
  const gain = partOf(rig, speaker)?.speaker?.gain;
  const knob = typeof gain === 'object' && 'knob' in gain ? gain.knob : undefined;
  const setting = partOf(rig, speaker)?.settings?.find(({ id }) => id === knob);
  const now = rig.parts.find(({ id }) => id === speaker)?.settings?.[knob ?? ''];
  const lower =
    setting?.kind === 'knob'
      ? Math.max(setting.from, (typeof now === 'number' ? now : setting.initial) - LOWER)
      : undefined;
  return [
    ...placed(rig, found.worst),
    ...(lower !== undefined && knob !== undefined
      ? [{ kind: 'set' as const, part: speaker, setting: knob, option: lower }]
      : []),
  ];
}

/** What gives a rig’s loudspeakers more room to howling, most first. */
export function airMoves(rig: Rig): AirMove[] {
  const before = howl(allFacts(rig)[0])?.marginDb;
  if (before === undefined) return [];
  return tried(rig)
    .map((edit) => ({ edit, marginDb: howl(allFacts(applyEdit(rig, edit))[0])?.marginDb ?? Infinity }))
    .filter(({ marginDb }) => marginDb >= before + WORTH)
    .sort((a, b) => b.marginDb - a.marginDb);
}
