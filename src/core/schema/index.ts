export type { Malformed } from './malformed';
export { malformedBy, valueAt } from './malformed';
export type { SchemaError, SchemaValidator } from './validator';
