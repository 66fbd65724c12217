import type { Part } from '../../parts';
import type { LaidPart } from '../../rig';

const switchedBy = (part: Part, setting: string): readonly string[] =>
  (part.power ?? []).flatMap((source) =>
    'setting' in source && source.setting === setting ? [source.is] : [],
  );

/** Whether a switch in that place describes a part that does not work: muted, not linked, its battery flat. An edit may mend that, never bring it about. */
export function breaks({ part }: LaidPart, setting: string, option: string): boolean {
  const feeding = switchedBy(part, setting);
  if (feeding.length > 0 && !feeding.includes(option)) return true;
  return part.circuit.some(
    (element) =>
      element.kind === 'signal' &&
      (element.mutedBy ?? []).some((by) => by.setting === setting && by.is === option),
  );
}
