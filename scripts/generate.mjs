// Writes what is derived from data: the precompiled validators, docs/findings.md, and the ways through shipped parts.
import { readdir, readFile, writeFile, mkdir } from 'node:fs/promises';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { join } from 'node:path';
import Ajv2020 from 'ajv/dist/2020.js';
import standaloneCode from 'ajv/dist/standalone/index.js';
import { build } from 'esbuild';
import { format, resolveConfig } from 'prettier';
import { typesOf } from './types-of.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));
const check = process.argv.includes('--check');

const schemaAt = async (path) => JSON.parse(await readFile(join(root, path), 'utf8'));

/** A schema compiled ahead, with those it refers to: a content security policy forbids compiling in the page. */
async function validator(path, ...others) {
  const schema = await schemaAt(path);
  const ajv = new Ajv2020({
    code: { source: true, esm: true },
    strict: true,
    strictRequired: false,
    strictTypes: false,
    discriminator: true,
    keywords: ['tsType', 'tsList'],
  });
  for (const other of others) ajv.addSchema(await schemaAt(other));
  const { outputFiles } = await build({
    stdin: { contents: standaloneCode(ajv, ajv.compile(schema)), resolveDir: root, loader: 'js' },
    bundle: true,
    format: 'esm',
    minify: true,
    write: false,
    banner: { js: '// Made by scripts/generate.mjs from a schema; not for editing.' },
  });
  return outputFiles[0].text;
}

const PART_SCHEMA = 'src/core/parts/model/part-schema.json';
const RIG_SCHEMA = 'src/core/files/rig-schema.json';
const REQUEST_SCHEMA = 'src/core/files/request-schema.json';

/** The types of a document, laid out as the rest of the code is. */
async function typesFile(target, path, others, imports) {
  const text = typesOf(await schemaAt(path), await Promise.all(others.map(schemaAt)), imports);
  const options = await resolveConfig(join(root, target));
  return format(text, { ...options, parser: 'typescript' });
}

/** What a function of the core's writes: the module is bundled and called. */
async function madeBy(path, name) {
  await mkdir(join(root, '.build'), { recursive: true });
  const outfile = join(root, `.build/${name}.mjs`);
  await build({
    entryPoints: [join(root, path)],
    bundle: true,
    format: 'esm',
    platform: 'node',
    outfile,
  });
  const made = await import(pathToFileURL(outfile).href);
  return made[name]();
}

/** Every usual rig, for the page that offers them. */
async function usualRigs() {
  const names = (await readdir(join(root, 'demo/usual'))).filter((name) => name.endsWith('.json')).sort();
  const rigs = await Promise.all(names.map((name) => schemaAt(`demo/usual/${name}`)));
  const list = rigs.map((rig) => `  ${JSON.stringify(rig)},`).join('\n');
  return `// Made by scripts/generate.mjs from demo/usual; not for editing.\nexport const USUAL: readonly unknown[] = [\n${list}\n];\n`;
}

const PART_TYPES = 'src/core/parts/model/types.generated.ts';
const RIG_TYPES = 'src/core/rig/types.generated.ts';
const REQUEST_TYPES = 'src/core/search/route/request.generated.ts';

const made = [
  [
    PART_TYPES,
    () =>
      typesFile(
        PART_TYPES,
        PART_SCHEMA,
        [],
        [
          "import type { Connector, Contact } from '../../plugs';",
          "import type { DbSpl, DbV, DbVPerPa, Milliamps, Ohms, Volts } from '../../units';",
        ],
      ),
  ],
  [
    RIG_TYPES,
    () =>
      typesFile(
        RIG_TYPES,
        RIG_SCHEMA,
        [PART_SCHEMA],
        ["import type { AppId, Evidence, Way } from '../apps';", "import type { Part } from '../parts';"],
      ),
  ],
  [
    REQUEST_TYPES,
    () =>
      typesFile(
        REQUEST_TYPES,
        REQUEST_SCHEMA,
        [RIG_SCHEMA, PART_SCHEMA],
        [
          "import type { AppId } from '../../apps';",
          "import type { Part } from '../../parts';",
          "import type { PolicyNote, SettingValue, VoiceEffort } from '../../rig';",
        ],
      ),
  ],
  ['src/core/files/validate-rig.generated.mjs', () => validator(RIG_SCHEMA, PART_SCHEMA)],
  ['src/core/parts/model/validate-part.generated.mjs', () => validator(PART_SCHEMA)],
  ['src/core/files/validate-request.generated.mjs', () => validator(REQUEST_SCHEMA, RIG_SCHEMA, PART_SCHEMA)],
  ['src/store/usual.generated.ts', usualRigs],
  ['docs/findings.md', () => madeBy('src/core/words/findings-page.ts', 'findingsPage')],
  [
    'src/core/search/route/middles.generated.ts',
    () => madeBy('src/core/search/route/middles-file.ts', 'middlesFile'),
  ],
  ['src/core/search/route/ways.generated.ts', () => madeBy('src/core/search/route/ways-file.ts', 'waysFile')],
];

let stale = 0;
for (const [path, make] of made) {
  const text = await make();
  const current = await readFile(join(root, path), 'utf8').catch(() => '');
  if (text === current) continue;
  if (check) {
    stale += 1;
    console.error(`${path} is not what scripts/generate.mjs makes: run npm run generate`);
  } else {
    await writeFile(join(root, path), text);
    console.log(`wrote ${path}`);
  }
}
process.exit(stale ? 1 : 0);
