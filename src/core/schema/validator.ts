/** What a precompiled schema says of a value that breaks it (Ajv's error objects). */
export interface SchemaError {
  readonly instancePath: string;
  readonly keyword: string;
  readonly params: Readonly<Record<string, unknown>>;
  readonly message?: string;
}

/** A JSON schema compiled ahead by scripts/generate.mjs. */
export interface SchemaValidator {
  (document: unknown): boolean;
  errors?: readonly SchemaError[] | null;
}
