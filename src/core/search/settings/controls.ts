import { nodeKey } from '../../engine/circuit';
import type { Chain } from '../../engine/flow';
import type { Facts } from '../../engine';
import type { CaptureChannel, Quantity } from '../../parts';
import { own } from '../../schema';
import { settingOf, type LaidPart, type SettingValue } from '../../rig';

/** A place of a switch or knob, with the gain that it gives. */
export interface Place {
  readonly option: SettingValue;
  readonly decibels: number;
}

/** Something to turn on a chain: it moves every stage from its place on. */
export interface Control {
  readonly part: string;
  readonly setting: string;
  /** The first of the chain's stages that it moves. */
  readonly from: number;
  readonly stands: number;
  /** Every place, from the least gain to the most. */
  readonly places: readonly Place[];
}

function placesOf(laid: LaidPart, quantity: Quantity): { setting: string; places: Place[] } | undefined {
  if (typeof quantity !== 'object') return undefined;
  if ('knob' in quantity) {
    const knob = laid.part.settings?.find((s) => s.id === quantity.knob);
    if (knob?.kind !== 'knob') return undefined;
    const count = Math.floor((knob.to - knob.from) / knob.step + 1e-9) + 1;
    const places = Array.from({ length: count }, (_, n) => knob.from + n * knob.step);
    return { setting: knob.id, places: places.map((at) => ({ option: at, decibels: at })) };
  }
  if (!('setting' in quantity)) return undefined;
  const found = laid.part.settings?.find((s) => s.id === quantity.setting);
  if (found?.kind !== 'switch') return undefined;
  const places = found.options.flatMap(({ id }): Place[] => {
    const value = own(quantity.values, id);
    return typeof value === 'number' && Number.isFinite(value) ? [{ option: id, decibels: value }] : [];
  });
  return { setting: found.id, places: places.sort((a, b) => a.decibels - b.decibels) };
}

/** Settings that change more than a gain: what a socket loads its source with, what it feeds. */
function shapesCircuit({ part }: LaidPart, setting: string): boolean {
  return part.circuit.some((element) =>
    Object.entries(element).some(
      ([name, quantity]: [string, unknown]) =>
        name !== 'sensitivity' &&
        name !== 'noise' &&
        typeof quantity === 'object' &&
        quantity !== null &&
        'setting' in quantity &&
        quantity.setting === setting,
    ),
  );
}

function controlFor(laid: LaidPart, quantity: Quantity | undefined, from: number): Control[] {
  const found = quantity === undefined ? undefined : placesOf(laid, quantity);
  if (!found || found.places.length < 2 || shapesCircuit(laid, found.setting)) return [];
  const option = settingOf(laid, found.setting);
  const stands = found.places.find((place) => String(place.option) === String(option))?.decibels;
  // A knob may stand between its steps.
  const at = stands ?? (typeof option === 'number' ? option : undefined);
  return at === undefined
    ? []
    : [{ part: laid.placed.id, setting: found.setting, from, stands: at, places: found.places }];
}

/** Everything on the way of a chain that can be turned, from the source forward. */
export function controlsOf({ laid }: Facts, chain: Chain, channel: CaptureChannel | undefined): Control[] {
  const found = chain.stages.flatMap((stage, index): Control[] => {
    const owner = laid.get(stage.placed);
    if (!owner) return [];
    if (stage.is === 'source') {
      // What a microphone with headphones plays back is no part of what it gives.
      const gives = (hears: string) => hears !== 'playback' || owner.part.host !== undefined;
      return owner.part.circuit.flatMap((e) =>
        e.kind === 'signal' && gives(e.hears) ? controlFor(owner, e.sensitivity, index) : [],
      );
    }
    if (stage.is === 'output') {
      const path = owner.part.paths?.find(
        (p) =>
          nodeKey(stage.placed, p.from) === stage.path?.from && nodeKey(stage.placed, p.to) === stage.path.to,
      );
      return (path?.gain ?? []).flatMap((quantity) => controlFor(owner, quantity, index));
    }
    if (stage.is === 'converter') {
      const capture = owner.part.captures?.find(({ id }) => chain.input === `${stage.placed}/${id}`);
      return [...controlFor(owner, capture?.gain, index), ...controlFor(owner, channel?.gain, index)];
    }
    return [];
  });
  const once = new Map(found.toReversed().map((control) => [`${control.part} ${control.setting}`, control]));
  return [...once.values()].toReversed();
}
