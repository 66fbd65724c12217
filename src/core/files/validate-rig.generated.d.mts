import type { SchemaValidator } from '../schema';

declare const validate: SchemaValidator;
export default validate;
