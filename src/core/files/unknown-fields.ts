import { distance } from 'fastest-levenshtein';
import type { ReadWarning } from './warnings';

/** As much of JSON Schema as the schemas of documents use. */
interface Schema {
  readonly $ref?: string;
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly additionalProperties?: Schema | boolean;
  readonly items?: Schema;
  readonly anyOf?: readonly Schema[];
  readonly oneOf?: readonly Schema[];
  readonly $defs?: Readonly<Record<string, Schema>>;
}

type UnknownField = Extract<ReadWarning, { code: 'unknown-field' }>;

/** A name is taken for a slip of another where no more letters than so many differ. Ours. */
const SLIP = 3;
/** More are not listed: a document of another kind has nothing else. */
const MOST_TOLD = 20;

const token = (key: string): string => key.replace(/~/g, '~0').replace(/\//g, '~1');

function nearestOf(name: string, known: readonly string[]): string | undefined {
  const [best] = known
    .map((one) => ({ one, far: distance(name.toLowerCase(), one.toLowerCase()) }))
    .sort((a, b) => a.far - b.far);
  return best && best.far <= Math.min(SLIP, Math.ceil(name.length / 2)) ? best.one : undefined;
}

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Walks a document beside its schema. */
class Walk {
  readonly found: UnknownField[] = [];
  constructor(private readonly root: Schema) {}

  private resolved({ $ref, ...rest }: Schema): Schema {
    const name = $ref?.replace('#/$defs/', '');
    return name === undefined ? rest : (this.root.$defs?.[name] ?? {});
  }

  /** Every form that a value may have: fields of any of them are known. */
  private forms(schema: Schema): Schema[] {
    const one = this.resolved(schema);
    return [one, ...[...(one.anyOf ?? []), ...(one.oneOf ?? [])].flatMap((each) => this.forms(each))];
  }

  visit(value: unknown, schema: Schema, at: string): void {
    if (this.found.length >= MOST_TOLD) return;
    const forms = this.forms(schema);
    if (Array.isArray(value)) this.visitItems(value, forms, at);
    else if (isObject(value)) this.visitFields(value, forms, at);
  }

  private visitItems(value: readonly unknown[], forms: readonly Schema[], at: string): void {
    const items = forms.find((form) => form.items)?.items;
    if (items) for (const [index, item] of value.entries()) this.visit(item, items, `${at}/${index}`);
  }

  private visitFields(value: Readonly<Record<string, unknown>>, forms: readonly Schema[], at: string): void {
    const open = forms.map(({ additionalProperties }) => additionalProperties).find(isObject) as
      Schema | undefined;
    const known = Object.assign({}, ...forms.map(({ properties }) => properties ?? {})) as Record<
      string,
      Schema
    >;
    const names = Object.keys(known);
    if (!open && names.length === 0) return;
    for (const [field, inner] of Object.entries(value)) {
      const place = `${at}/${token(field)}`;
      if (Object.hasOwn(known, field)) this.visit(inner, known[field] ?? {}, place);
      else if (open) this.visit(inner, open, place);
      else if (this.found.length < MOST_TOLD) {
        const nearest = nearestOf(field, names);
        this.found.push({
          code: 'unknown-field',
          at: place,
          field,
          ...(nearest !== undefined && { nearest }),
        });
      }
    }
  }
}

/** Fields of a document that its schema does not name, the first twenty, each with the name that was likely meant. They are kept, and say nothing. */
export function unknownFields(document: unknown, schema: object): UnknownField[] {
  const walk = new Walk(schema as Schema);
  walk.visit(document, schema as Schema, '');
  return walk.found;
}
