import { distance } from 'fastest-levenshtein';
import type { App } from '../core/apps';
import { CATALOGUE, type Part, type PartSetting } from '../core/parts';

/** Columns as wide as what stands in them. */
export function table(rows: readonly (readonly string[])[]): string {
  const widths = (rows[0] ?? []).map((_, column) => Math.max(...rows.map((row) => row[column]?.length ?? 0)));
  return rows
    .map((row) =>
      row
        .map((cell, column) => cell.padEnd(widths[column] ?? 0))
        .join('  ')
        .trimEnd(),
    )
    .join('\n');
}

/** Parts as a table, or that there are none. */
export const partsText = (parts: readonly Part[]): string =>
  parts.length === 0
    ? 'No part of the catalogue is called so. Fewer words find more; symplex parts lists all.'
    : table([
        ['id', 'name', 'family', 'price'],
        ...parts.map(({ id, name, family, price }) => [id, name, family, String(price)]),
      ]);

function placesOf(setting: PartSetting): string {
  return setting.kind === 'switch'
    ? setting.options.map(({ id, name }) => (id === name ? id : `${id} (${name})`)).join(' · ')
    : `${setting.from} to ${setting.to}, in steps of ${setting.step}`;
}

/** One part: ports, settings with their places, price. */
export const partText = ({ id, name, family, summary, price, ports, settings = [] }: Part): string =>
  [
    `${id}: ${name} (${family})`,
    summary,
    `Price: about ${price} (typical)`,
    '',
    'Ports',
    table([
      ['  id', 'name', 'connector', 'is', 'sound goes'],
      ...ports.map((port) => [`  ${port.id}`, port.name, port.connector, port.gender, port.direction]),
    ]),
    ...(settings.length === 0
      ? []
      : [
          '',
          'Settings',
          table([
            ['  id', 'name', 'stands at first', 'places'],
            ...settings.map((setting) => [
              `  ${setting.id}`,
              setting.name,
              String(setting.initial),
              placesOf(setting),
            ]),
          ]),
        ]),
  ].join('\n');

/** What is said where there is no part of that id, with the id that is most like it. */
export function noPart(id: string): string {
  const [near] = CATALOGUE.map((part) => ({ id: part.id, far: distance(part.id, id) })).sort(
    (a, b) => a.far - b.far,
  );
  const guess = near && near.far <= 4 ? `; did you mean ${near.id}?` : '; symplex parts lists all';
  return `the catalogue has no such part${guess}`;
}

/** Classes of app as a table: what each takes, on what that rests. */
export const appsText = (apps: readonly App[]): string =>
  table([
    ['id', 'name', 'channels', 'choices'],
    ...apps.map(({ id, name, channels, choices }) => [
      id,
      name,
      String(channels),
      choices.map((choice) => choice.id).join(', '),
    ]),
  ]);
