import { REPORT_SCHEMAS } from './report-schemas';
import { SCHEMAS, type SchemaName } from './schemas';

const COMPONENT: Readonly<Record<SchemaName, string>> = { rig: 'Rig', request: 'Request', part: 'Part' };

/** Where a reference from inside a document's schema leads in the description. */
function moved(ref: string, within: SchemaName): string {
  if (ref.startsWith('#')) return `#/components/schemas/${COMPONENT[within]}${ref.slice(1)}`;
  const [id = '', path = ''] = ref.split('#');
  const name = (Object.keys(SCHEMAS) as SchemaName[]).find((one) => SCHEMAS[one].$id === id);
  if (!name) throw new Error(`schema "${within}": no schema for the reference "${ref}"`);
  return `#/components/schemas/${COMPONENT[name]}${path}`;
}

/** A schema with its references made to lead from the root of the description. */
function embedded(value: unknown, within: SchemaName): unknown {
  if (Array.isArray(value)) return value.map((one) => embedded(one, within));
  if (typeof value !== 'object' || value === null) return value;
  const entries = Object.entries(value).filter(([key]) => key !== '$id' && key !== '$schema');
  return Object.fromEntries(
    entries.map(([key, inner]) =>
      key === '$ref' && typeof inner === 'string'
        ? [key, moved(inner, within)]
        : [key, embedded(inner, within)],
    ),
  );
}

const content = (type: string, schema: unknown) => ({ content: { [type]: { schema } } });
const refTo = (name: string) => ({ $ref: `#/components/schemas/${name}` });
const refused = (description: string) => ({ description, ...content('application/json', refTo('Refusal')) });

const REFUSALS = {
  400: refused('The document or a parameter was refused: one line that names the place and the value.'),
  405: refused('The method is not allowed here; what is stands in `Allow`.'),
  413: refused('The body is larger than a file may be (2 MB).'),
  415: refused('The body is packed; it is read as it comes.'),
  500: refused('The engine broke down on this question.'),
  503: refused('Too many questions wait, or the answer took too long.'),
};

const FIXES = {
  name: 'fixes',
  in: 'query',
  description: 'Milliseconds for the search for fixes, and as many for the way out.',
  schema: { type: 'integer', minimum: 0, maximum: 10_000, default: 2000 },
};

const TARGET = {
  name: 'target',
  in: 'query',
  description: 'Where peaks should come to, dBFS.',
  schema: { type: 'number', minimum: -60, maximum: 0, default: -12 },
};

const asks = (summary: string, document: string, answer: unknown, type = 'application/json') => ({
  summary,
  requestBody: { required: true, ...content('application/json', refTo(document)) },
  responses: { 200: { description: 'The answer.', ...content(type, answer) }, ...REFUSALS },
});

const PATHS = {
  '/api/check': {
    post: {
      ...asks('What a rig will really record, and why', 'Rig', refTo('CheckReport')),
      operationId: 'check',
      parameters: [FIXES],
    },
  },
  '/api/fixes': {
    post: {
      ...asks('What to change in a rig', 'Rig', refTo('FixesReport')),
      operationId: 'fixes',
      parameters: [FIXES],
    },
  },
  '/api/levels': {
    post: {
      ...asks('Levels, noise and the best settings', 'Rig', refTo('LevelsReport')),
      operationId: 'levels',
      parameters: [TARGET],
    },
  },
  '/api/power': {
    post: {
      ...asks('Supply, run time, hum and the order of plugging', 'Rig', refTo('PowerReport')),
      operationId: 'power',
    },
  },
  '/api/returns': {
    post: {
      ...asks('Who hears whom, how late, and the sends of a mix-minus', 'Rig', refTo('ReturnsReport')),
      operationId: 'returns',
    },
  },
  '/api/soundcheck': {
    post: {
      summary: 'What a test take shows',
      operationId: 'soundcheck',
      requestBody: {
        required: true,
        description: 'A WAV file, read as it comes; at most 400 MB.',
        ...content('audio/wav', { type: 'string', format: 'binary' }),
      },
      responses: {
        200: { description: 'The answer.', ...content('application/json', refTo('TakeReport')) },
        400: REFUSALS[400],
        405: REFUSALS[405],
        413: refused('The take is larger than 400 MB.'),
        415: REFUSALS[415],
      },
    },
  },
  '/api/plan': {
    post: {
      ...asks('The best proved chains for a request', 'Request', refTo('PlanReport')),
      operationId: 'plan',
    },
  },
  '/api/spice': {
    post: {
      ...asks('The circuit of a rig as a SPICE netlist', 'Rig', { type: 'string' }, 'text/plain'),
      operationId: 'spice',
    },
  },
  '/api/catalogue': {
    get: {
      summary: 'Every shipped part and app class',
      operationId: 'catalogue',
      responses: {
        200: {
          description: 'Parts as data, and app classes.',
          ...content('application/json', { type: 'object', required: ['parts', 'apps'] }),
        },
      },
    },
  },
  '/api/schema/{name}': {
    get: {
      summary: 'The JSON schema of a document',
      operationId: 'schema',
      parameters: [{ name: 'name', in: 'path', required: true, schema: { enum: Object.keys(SCHEMAS) } }],
      responses: {
        200: { description: 'The schema.', ...content('application/schema+json', { type: 'object' }) },
        404: refused('There is no such schema.'),
      },
    },
  },
};

/** The whole interface over HTTP as an OpenAPI 3.1 description, made from the schemas of the documents. */
export function openApi() {
  const documents = (Object.keys(SCHEMAS) as SchemaName[]).map(
    (name) => [COMPONENT[name], embedded(SCHEMAS[name], name)] as const,
  );
  return {
    openapi: '3.1.0',
    info: {
      title: 'Symplex',
      version: '1',
      description: 'The engine of the command line over HTTP. Nothing is kept between questions.',
      license: { name: 'Apache-2.0', identifier: 'Apache-2.0' },
    },
    servers: [{ url: '/' }],
    paths: PATHS,
    components: { schemas: { ...Object.fromEntries(documents), ...REPORT_SCHEMAS } },
  };
}
