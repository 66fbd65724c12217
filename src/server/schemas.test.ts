import { readdirSync, readFileSync } from 'node:fs';
import Ajv2020 from 'ajv/dist/2020.js';
import { describe, expect, it } from 'vitest';
import { checkRig } from '../core/files/read-rig';
import { SCHEMAS } from './schemas';

describe('the schemas as others read them', () => {
  const ajv = new Ajv2020({ strict: true, strictRequired: false, strictTypes: false });
  for (const schema of Object.values(SCHEMAS)) ajv.addSchema(schema);
  const validate = ajv.getSchema(SCHEMAS.rig.$id)!;

  it.each(readdirSync('demo/rigs'))(
    'a strict reader takes %s, and refuses it spoilt, as Symplex does',
    (name) => {
      const rig = JSON.parse(readFileSync(`demo/rigs/${name}`, 'utf8'));
      expect(validate(rig)).toBe(true);
      const [part] = rig.parts;
      const spoilt = [
        { ...rig, joints: 'none' },
        { ...rig, parts: [{ ...part, length: -1 }] },
        { ...rig, surroundings: { voice: 'whisper' } },
        { ...rig, ownParts: [{ id: 'own-nothing' }] },
      ];
      for (const one of spoilt) {
        expect(validate(one)).toBe(false);
        expect(checkRig(one).ok).toBe(false);
      }
    },
  );
});
