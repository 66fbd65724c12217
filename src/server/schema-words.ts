/** A JSON Schema, as far as the description needs it. */
export type Schema = Readonly<Record<string, unknown>>;

export const text: Schema = { type: 'string' };
export const number: Schema = { type: 'number' };
export const nullable = (type: string): Schema => ({ type: [type, 'null'] });
export const listOf = (items: Schema): Schema => ({ type: 'array', items });
export const ref = (name: string): Schema => ({ $ref: `#/components/schemas/${name}` });
export const orNull = (schema: Schema): Schema => ({ oneOf: [schema, { type: 'null' }] });

/** Every property is there in each answer; more may come. */
export const object = (properties: Readonly<Record<string, Schema>>): Schema => ({
  type: 'object',
  required: Object.keys(properties),
  properties,
});

export const severity: Schema = { enum: ['danger', 'blocks', 'spoils', 'note'] };
