import { figureOf } from '../circuit';
import type { Facts } from '../facts';
import { switchesOf } from '../../parts';
import { settingOf, type LaidPart } from '../../rig';

/** What a USB device declares and takes while one of its switches stands so, or whatever they do. */
export interface DeviceState {
  readonly setting?: string;
  readonly option?: string;
  /** As it stands now. */
  readonly now: boolean;
  /** mA. */
  readonly declared: number;
  readonly takes: number;
}

/** A USB device from when it is plugged in on. */
export interface DeviceDraw {
  readonly placed: string;
  /** The most until the host has taken it, mA: one unit load (USB 2.0, 7.2.1). */
  readonly atFirst: number;
  readonly states: readonly DeviceState[];
}

/** One unit load of USB 2.0, 7.2.1, mA. */
const UNIT_LOAD = 100;

const withSetting = (laid: LaidPart, setting: string, option: string): LaidPart => ({
  ...laid,
  placed: { ...laid.placed, settings: { ...laid.placed.settings, [setting]: option } },
});

function statesOf(laid: LaidPart): DeviceState[] {
  const { bus, settings = [] } = laid.part;
  if (!bus) return [];
  const drawOf = (one: LaidPart) => ({
    declared: figureOf(bus.draw, one),
    takes: figureOf(bus.takes ?? bus.draw, one),
  });
  const switches = [...new Set([...switchesOf(bus.draw), ...switchesOf(bus.takes)])];
  const found = switches.flatMap((id) => {
    const setting = settings.find((one) => one.id === id);
    if (setting?.kind !== 'switch') return [];
    return setting.options.map((option) => ({
      setting: id,
      option: option.id,
      now: settingOf(laid, id) === option.id,
      ...drawOf(withSetting(laid, id, option.id)),
    }));
  });
  return found.length > 0 ? found : [{ now: true, ...drawOf(laid) }];
}

/** What every USB device of a rig takes from first to last, whatever feeds it. */
export const deviceDraws = (facts: Pick<Facts, 'laid'>): DeviceDraw[] =>
  [...facts.laid.values()].flatMap((laid) => {
    const states = statesOf(laid).filter(({ declared, takes }) => declared > 0 || takes > 0);
    if (states.length === 0) return [];
    return [{ placed: laid.placed.id, atFirst: Math.min(UNIT_LOAD, ...states.map((s) => s.takes)), states }];
  });
