import requestSchema from '../core/files/request-schema.json';
import rigSchema from '../core/files/rig-schema.json';
import partSchema from '../core/parts/model/part-schema.json';

/** The JSON schemas of all documents that are read, by their name in an address. */
export const SCHEMAS = { rig: rigSchema, request: requestSchema, part: partSchema } as const;

export type SchemaName = keyof typeof SCHEMAS;

export const isSchemaName = (name: string): name is SchemaName => Object.hasOwn(SCHEMAS, name);
