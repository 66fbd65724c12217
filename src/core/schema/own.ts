/** What a document itself says under a key; never what every object inherits: "constructor" is an ordinary name. */
export const own = <T>(record: Readonly<Record<string, T>> | undefined, key: string): T | undefined =>
  record !== undefined && Object.hasOwn(record, key) ? record[key] : undefined;
