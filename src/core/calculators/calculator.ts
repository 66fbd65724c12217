import type { FigureUnit } from '../units';

/** A figure that is asked for, with the range in which it means something. */
export interface Field {
  readonly id: string;
  readonly name: string;
  readonly unit: FigureUnit;
  readonly initial: number;
  readonly least: number;
  readonly most: number;
}

/** A figure that comes out; `says` where words serve better than a unit. */
export interface Result {
  readonly name: string;
  readonly value: number;
  readonly unit: string;
}

export type Values = Readonly<Record<string, number>>;

/** A calculation with its formula and where that is from. */
export interface Calculator {
  readonly id: string;
  readonly name: string;
  readonly fields: readonly Field[];
  readonly formula: string;
  readonly source: string;
  readonly compute: (values: Values) => readonly Result[];
}

/** Why a figure cannot be taken: it names the field, the value and the range. */
export interface FieldTrouble {
  readonly field: string;
  readonly says: string;
}

/** The first field whose value means nothing; undefined where all do. */
export function troubleWith({ fields }: Calculator, values: Values): FieldTrouble | undefined {
  for (const { id, name, least, most, unit } of fields) {
    const value = values[id];
    const of = unit === 'ohm' ? 'Ω' : unit;
    if (value === undefined || !Number.isFinite(value)) return { field: id, says: `${name} is missing.` };
    if (value < least || value > most)
      return {
        field: id,
        says: `${name} is ${Number(value.toPrecision(6))} ${of}: it is taken from ${least} to ${most} ${of}.`.replaceAll(
          '  ',
          ' ',
        ),
      };
  }
  return undefined;
}

export const field = (
  id: string,
  name: string,
  unit: FigureUnit,
  initial: number,
  [least, most]: readonly [number, number],
): Field => ({ id, name, unit, initial, least, most });

/** The value of a field; calculators are only asked for values that stand. */
export const of = (values: Values, id: string): number => values[id] ?? NaN;
