interface RequestValidator {
  (document: unknown): boolean;
  errors?:
    | {
        readonly instancePath: string;
        readonly keyword: string;
        readonly params: Readonly<Record<string, unknown>>;
        readonly message?: string;
      }[]
    | null;
}
declare const validate: RequestValidator;
export default validate;
