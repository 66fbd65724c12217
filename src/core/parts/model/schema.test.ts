import { describe, expect, it } from 'vitest';
import { CATALOGUE, type CircuitElement, type Part } from '..';
import { KEYED_CONNECTORS, PHONE_CONNECTORS } from '../../plugs';
import { checkPart } from './check-part';
import schema from './part-schema.json';

/** A shipped part as a user's own would be: the schema wants another id, and JSON has no infinity. */
const asOwn = (part: Part): unknown => JSON.parse(JSON.stringify({ ...part, id: 'own-copy' }));

/** One element of every kind that the catalogue has, in the part that has it. */
const KINDS = new Map<string, [Part, CircuitElement]>(
  CATALOGUE.flatMap((part) => part.circuit.map((e): [string, [Part, CircuitElement]] => [e.kind, [part, e]])),
);

describe('the schema of a part', () => {
  it('knows the connectors that there are, and no others', () => {
    expect([...schema.$defs.connector.enum].sort()).toEqual(
      [...PHONE_CONNECTORS, ...KEYED_CONNECTORS].sort(),
    );
  });

  it.each(CATALOGUE.map((part) => [part.id, part] as const))('takes %s as one of a user', (_, part) => {
    expect(checkPart(asOwn(part))).toMatchObject({ ok: true });
  });

  it('has an element of every kind to be tried', () => {
    expect([...KINDS.keys()].sort()).toEqual(
      schema.$defs.element.oneOf.map(({ $ref }) => $ref.replace('#/$defs/', '')).sort(),
    );
  });

  it.each(
    [...KINDS].flatMap(([kind, [part, element]]) =>
      Object.keys(element)
        .filter(
          (key) =>
            !['kind', 'noise', 'mutedBy', 'band', 'needs', 'fedBy'].includes(key) ||
            (key === 'noise' && kind !== 'signal'),
        )
        .map((key) => [kind, key, part, element] as const),
    ),
  )('names %s without its %s', (_kind, key, part, element) => {
    const at = part.circuit.indexOf(element);
    const { [key as keyof CircuitElement]: _gone, ...rest } = element;
    const spoilt = asOwn({
      ...part,
      circuit: part.circuit.map((e, i) => (i === at ? rest : e)) as CircuitElement[],
    });
    const result = checkPart(spoilt);
    expect(!result.ok && JSON.stringify(result.problem)).toContain(`/circuit/${at}/${key}`);
  });

  it('names a kind that is none', () => {
    const [lead] = CATALOGUE.filter(({ circuit }) => circuit.length > 0);
    const spoilt = { ...(asOwn(lead!) as Part), circuit: [{ kind: 'valve', a: 'x', b: 'y' }] };
    const result = checkPart(spoilt);
    expect(!result.ok && JSON.stringify(result.problem)).toContain('valve');
  });
});
