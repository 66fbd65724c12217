import { readdirSync } from 'node:fs';
import { expect, it } from 'vitest';
import { checkRequest } from '../core/files/read-request';
import { DEMO_REQUESTS } from './demo-requests';

it('offers every request of the yard, each of which the reader takes', () => {
  expect(DEMO_REQUESTS).toHaveLength(readdirSync('demo/requests').length);
  for (const request of DEMO_REQUESTS) {
    expect(checkRequest(request).ok).toBe(true);
    expect(request.name?.length).toBeGreaterThan(5);
  }
});
