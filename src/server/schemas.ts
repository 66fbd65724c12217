import requestSchema from '../core/files/request-schema.json';
import rigSchema from '../core/files/rig-schema.json';
import partSchema from '../core/parts/model/part-schema.json';

/** Words of ours in a schema, which say how our types and our validators are made of it: a strict reader knows none of them. */
const OURS: readonly string[] = ['tsType', 'tsList', 'discriminator'];

/** A schema as others read it. */
function published<T>(schema: T): T {
  return JSON.parse(
    JSON.stringify(schema, (key, value: unknown) => (OURS.includes(key) ? undefined : value)),
  ) as T;
}

/** The JSON schemas of all documents that are read, by their name in an address. */
export const SCHEMAS = {
  rig: published(rigSchema),
  request: published(requestSchema),
  part: published(partSchema),
} as const;

export type SchemaName = keyof typeof SCHEMAS;

export const isSchemaName = (name: string): name is SchemaName => Object.hasOwn(SCHEMAS, name);
