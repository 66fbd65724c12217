import { readdirSync, readFileSync } from 'node:fs';
import { Validator } from '@seriousme/openapi-schema-validator';
import Ajv2020 from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import { doJob, type Job } from './jobs';
import { openApi } from './openapi';

const description = openApi();
const ajv = new Ajv2020({ strict: false }).addSchema({ $id: 'api', ...description });
const suits = (name: string, value: unknown): string => {
  const check = ajv.getSchema(`api#/components/schemas/${name}`);
  if (!check) throw new Error(`no schema ${name}`);
  return check(value) ? '' : ajv.errorsText(check.errors);
};

const answered = (kind: Job['kind'], path: string) => {
  const answer = doJob({ kind, text: readFileSync(path, 'utf8'), milliseconds: 200 });
  expect(answer.status).toBe(200);
  return JSON.parse(answer.body);
};

describe('the description of the interface over HTTP', () => {
  it('is an OpenAPI 3.1 document for a public validator', async () => {
    const { valid, errors } = await new Validator().validate(structuredClone(description));
    expect(errors ?? []).toEqual([]);
    expect(valid).toBe(true);
  });

  it('has no reference that leads nowhere', () => {
    const refs = [...JSON.stringify(description).matchAll(/"\$ref":"#([^"]+)"/g)].map(
      ([, path]) => path ?? '',
    );
    expect(refs.length).toBeGreaterThan(50);
    for (const path of refs) {
      const found = path
        .split('/')
        .slice(1)
        .reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], description);
      expect(found, path).toBeDefined();
    }
  });

  it.each(readdirSync('demo/rigs'))('describes the demo rig %s and the answers about it', (name) => {
    const path = `demo/rigs/${name}`;
    expect(suits('Rig', JSON.parse(readFileSync(path, 'utf8')))).toBe('');
    expect(suits('CheckReport', answered('check', path))).toBe('');
    expect(suits('FixesReport', answered('fixes', path))).toBe('');
  });

  it('describes a plan', () => {
    const path = 'demo/requests/slipway-pack-to-phone.json';
    expect(suits('Request', JSON.parse(readFileSync(path, 'utf8')))).toBe('');
    expect(suits('PlanReport', answered('plan', path))).toBe('');
  });

  it.each([
    ['check', '{"format":', 'not complete JSON'],
    ['fixes', '{"format":"symplex-rig","version":2}', '/version is 2'],
    ['spice', '[]', 'it must be an object'],
    ['plan', '{"format":"symplex-request"}', 'version'],
  ] as const)('refuses what is no document to %s in one line', (kind, text, message) => {
    const { status, body } = doJob({ kind, text, milliseconds: 0 });
    expect(status).toBe(400);
    expect(suits('Refusal', JSON.parse(body))).toBe('');
    expect(JSON.parse(body).error).toContain(message);
    expect(JSON.parse(body).error).not.toContain('\n');
  });
});
