// TypeScript types of a document, made from its JSON Schema: everything read-only, the words of the schema as comments.
// A library that does this was tried: it makes a second type of every reference with a word beside it, and nothing read-only.

const literal = (value) => JSON.stringify(value);
const comment = ({ description }, indent = '') => (description ? `${indent}/** ${description} */\n` : '');

/** The definition that a reference names, of this schema or of one of the others by its id. */
function definitionAt(ref, schema, others) {
  const [id, path] = ref.split('#');
  const whole = id === '' ? schema : others.find(({ $id }) => $id === id);
  const found = path ? whole?.$defs[path.replace('/$defs/', '')] : whole;
  if (!found) throw new Error(`${schema.$id}: nothing at ${ref}`);
  return found;
}

function objectType(schema, typed) {
  const { properties, additionalProperties, required = [] } = schema;
  if (!properties) return `Readonly<Record<string, ${typed(additionalProperties)}>>`;
  const fields = Object.entries(properties).map(([name, field]) => {
    const optional = required.includes(name) ? '' : '?';
    return `${comment(field, '  ')}  readonly ${name}${optional}: ${typed(field)};`;
  });
  return `{\n${fields.join('\n')}\n}`;
}

function listType({ items, minItems, maxItems }, typed) {
  const item = typed(items);
  if (minItems !== undefined && minItems === maxItems) {
    return `readonly [${Array.from({ length: minItems }, () => item).join(', ')}]`;
  }
  return `readonly ${item.includes(' ') ? `(${item})` : item}[]`;
}

const PLAIN = { string: 'string', number: 'number', integer: 'number', boolean: 'boolean', null: 'null' };

/** The type of one place of a schema. A definition with a title is called by it; `tsType` stands for a type that code has already. */
function typeOf(place, schema, others) {
  const typed = (inner) => typeOf(inner, schema, others);
  if (place.tsType) return place.tsType;
  if (place.$ref) {
    const named = definitionAt(place.$ref, schema, others);
    return named.title ?? typed(named);
  }
  if ('const' in place) return literal(place.const);
  if (place.enum) return place.enum.map(literal).join(' | ');
  const choices = place.oneOf ?? place.anyOf;
  if (choices) return choices.map(typed).join(' | ');
  if (place.type === 'object') return objectType(place, typed);
  if (place.type === 'array') return listType(place, typed);
  const plain = PLAIN[place.type];
  if (!plain) throw new Error(`${schema.$id}: no type for ${literal(place)}`);
  return plain;
}

function declaration(named, schema, others) {
  const type = typeOf({ ...named, title: undefined }, schema, others);
  const isInterface = named.type === 'object' && type.startsWith('{');
  const declared = isInterface
    ? `export interface ${named.title} ${type}`
    : `export type ${named.title} = ${type};`;
  const list = named.tsList
    ? `\nexport const ${named.tsList} = ${literal(named.enum)} as const satisfies readonly ${named.title}[];`
    : '';
  return comment(named) + declared + list;
}

/**
 * The types of a schema as TypeScript: one for each definition with a title, and one of the whole.
 * `imports` are lines that bring what `tsType` and references to the `others` name.
 */
export function typesOf(schema, others, imports) {
  const named = [...Object.values(schema.$defs ?? {}), schema].filter(({ title }) => title);
  return [
    `// Made by scripts/generate.mjs from the schema ${schema.$id}; not for editing.`,
    ...imports,
    '',
    ...named.map((one) => `${declaration(one, schema, others)}\n`),
  ].join('\n');
}
