import { findApp } from '../apps';
import { partIn, type Rig, type RigEdit } from '../rig';

/** Knobs are tried at both ends, in the middle, and this much to either side of where they stand, dB. */
const BESIDE = 12;

/** Every single thing that somebody may have set or plugged otherwise: each other place of a switch or choice, knobs, each joint pulled. */
export function singleChanges(rig: Rig): RigEdit[] {
  const settings = rig.parts.flatMap((placed): RigEdit[] =>
    (partIn(rig, placed.part)?.settings ?? []).flatMap((setting): RigEdit[] => {
      const now = placed.settings?.[setting.id] ?? setting.initial;
      const places =
        setting.kind === 'switch'
          ? setting.options.map(({ id }) => id)
          : [
              setting.from,
              (setting.from + setting.to) / 2,
              setting.to,
              Number(now) - BESIDE,
              Number(now) + BESIDE,
            ]
              .map((v) => Math.round(v / setting.step) * setting.step)
              .filter((v) => v >= setting.from && v <= setting.to);
      return [...new Set<string | number>(places)]
        .filter((option) => option !== now)
        .map((option) => ({ kind: 'set', part: placed.id, setting: setting.id, option }));
    }),
  );
  const choices = rig.parts.flatMap((placed): RigEdit[] =>
    placed.app === undefined
      ? []
      : (findApp(placed.app)?.choices ?? []).flatMap((choice): RigEdit[] => {
          const now = placed.choices?.[choice.id] ?? choice.initial;
          return choice.kind === 'switch'
            ? choice.options
                .filter(({ id }) => id !== now)
                .map(({ id }) => ({ kind: 'choose', part: placed.id, choice: choice.id, option: id }))
            : [];
        }),
  );
  const joints = rig.joints.map(({ id }): RigEdit => ({ kind: 'unplug', joint: id }));
  return [...settings, ...choices, ...joints];
}
