export type { Malformed } from './malformed';
export { malformedBy, valueAt } from './malformed';
export type { SchemaError, SchemaValidator } from './validator';
export { oneLine, quoteValue } from './quote';
export { own } from './own';
export { slug } from './slug';
