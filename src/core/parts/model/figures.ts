import { own } from '../../schema';
import type { FigureUnit } from '../../units';
import type { CircuitElement, Part, Quantity } from './types.generated';

/**
 * A figure of a part that its user may know better. `at` are JSON pointers into the part: several where both sides or
 * both legs have the same figure. `null`: switched off.
 */
export interface Figure {
  readonly name: string;
  readonly unit: FigureUnit;
  readonly value: number;
  readonly at: readonly string[];
  /** Of a small part inside, which few ever change. */
  readonly inner?: boolean;
}

interface Place {
  readonly at: string;
  readonly name: string;
  readonly unit: FigureUnit;
  readonly quantity: Quantity | undefined;
  readonly inner?: boolean;
}

/** A figure for each place of the switch that it hangs on; none for a knob, which is turned on the Bench. */
function figuresOfPlace(part: Part, place: Place): Figure[] {
  return valuesOf(part, place).map((figure) => ({ ...figure, ...(place.inner && { inner: true }) }));
}

function valuesOf(part: Part, { at, name, unit, quantity }: Place): Figure[] {
  if (quantity === undefined || (typeof quantity === 'object' && 'knob' in quantity)) return [];
  if (typeof quantity === 'number') return [{ name, unit, value: quantity, at: [at] }];
  if ('typical' in quantity) return [{ name, unit, value: quantity.typical, at: [at] }];
  if ('perMetre' in quantity) {
    return [{ name: `${name} per metre`, unit, value: quantity.perMetre, at: [`${at}/perMetre`] }];
  }
  const setting = part.settings?.find((s) => s.id === quantity.setting);
  if (setting?.kind !== 'switch') return [];
  return setting.options.flatMap((option) => {
    const value = own(quantity.values, option.id);
    return typeof value === 'number' && Number.isFinite(value)
      ? [
          {
            name: `${name}, ${setting.name.toLowerCase()} ${option.name}`,
            unit,
            value,
            at: [`${at}/values/${option.id}`],
          },
        ]
      : [];
  });
}

/** What a person calls an element's figures; wires and solder joints have none. */
function elementPlaces(element: CircuitElement, at: string): Place[] {
  const place = (key: string, name: string, unit: FigureUnit): Place => ({
    at: `${at}/${key}`,
    name,
    unit,
    quantity: (element as unknown as Readonly<Record<string, Quantity | undefined>>)[key],
  });
  switch (element.kind) {
    case 'electret':
      return [
        place('sensitivity', 'Sensitivity', 'dBV/Pa'),
        place('noise', 'Own noise', 'dBV'),
        place('dcResistance', 'Direct-current resistance', 'ohm'),
        place('minimumBias', 'Least plug-in power', 'V'),
      ];
    case 'signal':
      return [
        element.hears === 'voice'
          ? place('sensitivity', 'Sensitivity', 'dBV/Pa')
          : place('sensitivity', element.hears === 'played' ? 'Usual output' : 'Playback, full scale', 'dBV'),
        place('noise', 'Own noise', 'dBV'),
        { ...place('needs/volts', 'Least supply', 'V'), quantity: element.needs?.volts },
      ];
    case 'drive':
      return [
        place('ohms', 'Output impedance', 'ohm'),
        place('clip', 'Largest output before it clips', 'dBV'),
      ];
    case 'sense':
      return [place('ohms', 'Input impedance', 'ohm'), place('noise', 'Equivalent input noise', 'dBV')];
    case 'supply':
      return [place('volts', 'Supply voltage', 'V')];
    case 'resistor':
      return [{ ...place('ohms', `Resistance, ${element.a} to ${element.b}`, 'ohm'), inner: true }];
    case 'capacitor':
      return [{ ...place('farads', `Capacitance, ${element.a} to ${element.b}`, 'F'), inner: true }];
    case 'inductor':
      return [{ ...place('henries', `Inductance, ${element.a} to ${element.b}`, 'H'), inner: true }];
    case 'conductor':
    case 'wire':
    case 'transformer':
      return [];
  }
}

function partPlaces(part: Part): Place[] {
  return [
    { at: '/price', name: 'Price, about', unit: '', quantity: part.price },
    { at: '/length', name: 'Length', unit: 'm', quantity: part.length },
    ...(part.captures ?? []).flatMap((capture, n): Place[] => [
      {
        at: `/captures/${n}/fullScale`,
        name: 'Full scale of the converter',
        unit: 'dBV',
        quantity: capture.fullScale,
      },
      { at: `/captures/${n}/noise`, name: 'Noise of the converter', unit: 'dBV', quantity: capture.noise },
    ]),
    { at: '/bus/draw', name: 'Declared USB draw', unit: 'mA', quantity: part.bus?.draw },
    { at: '/bus/takes', name: 'Real USB draw', unit: 'mA', quantity: part.bus?.takes },
    ...(part.outlets ?? []).map((outlet, n): Place => ({
      at: `/outlets/${n}/gives`,
      name: 'Gives at most',
      unit: 'mA',
      quantity: outlet.gives,
    })),
    {
      at: '/host/ownMicrophone/calibration',
      name: 'Own microphone, sound pressure at the next figure',
      unit: 'dB SPL',
      quantity: part.host?.ownMicrophone.calibration,
    },
    {
      at: '/host/ownMicrophone/calibrationDbfs',
      name: 'Own microphone, level at that pressure',
      unit: 'dBFS',
      quantity: part.host?.ownMicrophone.calibrationDbfs,
    },
  ];
}

/** Equal figures of equal name are one to a person: both sides of a pair, both legs of a line. */
function merged(figures: readonly Figure[]): Figure[] {
  const byName = new Map<string, Figure>();
  for (const figure of figures) {
    const key = `${figure.name} ${figure.value}`;
    const known = byName.get(key);
    byName.set(key, known ? { ...known, at: [...known.at, ...figure.at] } : figure);
  }
  return [...byName.values()];
}

/** Every figure of a part that can be changed: price and length, then what makes the sound, then the small parts. */
export function figuresOf(part: Part): Figure[] {
  const places = [
    ...partPlaces(part),
    ...part.circuit.flatMap((element, index) => elementPlaces(element, `/circuit/${index}`)),
  ];
  return merged(places.flatMap((place) => figuresOfPlace(part, place)));
}

/** A copy of a document with the value at a JSON pointer exchanged; a pointer that leads nowhere changes nothing. */
function withValue(document: unknown, [key, ...rest]: readonly string[], value: unknown): unknown {
  if (key === undefined) return value;
  if (typeof document !== 'object' || document === null || !Object.hasOwn(document, key)) return document;
  const inner = (document as Readonly<Record<string, unknown>>)[key];
  const next = withValue(inner, rest, value);
  if (Array.isArray(document)) return document.map((item, index) => (String(index) === key ? next : item));
  return { ...document, [key]: next };
}

/** A part with one figure changed, wherever it stands. */
export const withFigure = (part: Part, figure: Pick<Figure, 'at'>, value: number): Part =>
  figure.at.reduce((changed, at) => withValue(changed, at.split('/').slice(1), value) as Part, part);
