import { describe, expect, it } from 'vitest';
import { readRequest } from '../core/files/read-request';
import { plan } from '../core/search/route';
import { WARMING } from './warming';

describe('what a new thread asks itself', () => {
  it.each(WARMING.map((request) => [request.name, request] as const))(
    '%s: can be asked, and has an answer',
    (_, request) => {
      expect(readRequest(JSON.stringify(request))).toMatchObject({ ok: true });
      const { routes } = plan(request, { count: 5, milliseconds: Infinity, longest: 8, steps: 3000 });
      expect(routes.map(({ verdict }) => verdict)).toContain('clean');
    },
  );
});
