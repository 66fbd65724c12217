import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { namesBy, renamedApp, renamedEdit, renamedPart, renamedRig } from '../../testing/renamed';
import fc from 'fast-check';
import { anyChain } from '../../testing/chains';
import type { App } from './apps';
import type * as AppsModule from './apps/apps';
import type * as Judge from './judge';
import type * as Fixes from './search/fixes';
import type * as Routes from './search/route';
import type { Part } from './parts';
import type { Rig } from './rig';
import type { RouteRequest } from './search/route';

/**
 * Nothing hangs on what a part, port, node, setting or choice is called: with a whole catalogue and all apps renamed at random, the
 * engine says, mends and finds the same. One definition of sameness each; the seed is fixed.
 */
const SEED = 20261125;
const name = namesBy(SEED);

interface World {
  readonly analyse: typeof Judge.analyse;
  readonly fixesFor: typeof Fixes.fixesFor;
  readonly plan: typeof Routes.plan;
}

const world = async (): Promise<World> => ({
  analyse: (await import('./judge')).analyse,
  fixesFor: (await import('./search/fixes')).fixesFor,
  plan: (await import('../../testing/by-steps')).plan,
});

let usual: World;
let renamed: World;

beforeAll(async () => {
  usual = await world();
  vi.resetModules();
  vi.doMock('./parts/catalogue', async (original) => {
    const { CATALOGUE } = await original<{ CATALOGUE: readonly Part[] }>();
    const parts = CATALOGUE.map((part) => renamedPart(name, part));
    const byId = new Map(parts.map((part) => [part.id, part]));
    return { CATALOGUE: parts, findPart: (id: string) => byId.get(id) };
  });
  vi.doMock('./apps/apps', async (original) => {
    const apps = await original<typeof AppsModule>();
    const found = apps.APPS.map((app: App) => renamedApp(name, app));
    const byId = new Map(found.map((app) => [app.id, app]));
    return {
      ...apps,
      APPS: found,
      DEFAULT_APP: name('app', apps.DEFAULT_APP),
      findApp: (id: string) => byId.get(id),
    };
  });
  renamed = await world();
});

afterAll(() => {
  vi.doUnmock('./parts/catalogue');
  vi.doUnmock('./apps/apps');
  vi.resetModules();
});

const demo = (id: string): Rig => JSON.parse(readFileSync(`demo/rigs/${id}.json`, 'utf8')) as Rig;
const DEMO = [
  'slipway-diary',
  'two-at-the-bench',
  'sail-loft-talk',
  'launch-day-stream',
  'harbour-call-in',
  'loft-songs',
  'quay-to-camera',
];

const round = (value: number | undefined): number | undefined =>
  value === undefined || !Number.isFinite(value) ? value : Math.round(value * 1e6) / 1e6;

/** What is said of a rig without the names in it; those that stand in it are translated by `by`. */
function said(world: World, rig: Rig, by: <T extends string>(kind: 'port' | 'setting', old: T) => string) {
  const { verdict, arrives, findings, listeners } = world.analyse(rig);
  return {
    verdict,
    arrives: arrives.map((a) => [
      a.source,
      a.recorder,
      a.state,
      a.channels,
      round(a.peak),
      round(a.noise),
      a.evidence.kind,
    ]),
    findings: findings.map((f) => [
      f.code,
      f.severity,
      f.where.joint,
      f.where.part,
      f.where.port === undefined ? undefined : by('port', f.where.port),
      f.source,
      f.sources,
      f.recorder,
      f.other,
      f.values.map((v) => round(v.value)),
    ]),
    listeners: listeners.map((l) => [l.listener, l.hears, l.sources]),
  };
}

const same = <T extends string>(_kind: string, old: T): string => old;

const expectSame = (rig: Rig) =>
  expect(said(renamed, renamedRig(name, rig), same)).toEqual(
    said(usual, rig, (kind, old) => name(kind, old)),
  );

describe(`with everything renamed (seed ${SEED})`, () => {
  it('no old name is left in the catalogue that is tried', async () => {
    const { CATALOGUE } = await import('./parts');
    expect(CATALOGUE.every((part) => /^n[0-9a-z]+$/.test(part.id))).toBe(true);
    expect(CATALOGUE.flatMap((part) => part.ports).every((port) => /^n[0-9a-z]+$/.test(port.id))).toBe(true);
  });

  it.each(DEMO)('%s is judged the same', (id) => expectSame(demo(id)));

  it('so are 150 random chains', () => {
    for (const rig of fc.sample(anyChain, { seed: SEED, numRuns: 150 })) expectSame(rig);
  });

  it.each(DEMO)('%s is offered the same fixes', (id) => {
    const rig = demo(id);
    const before = usual.analyse(rig).findings;
    const after = renamed.analyse(renamedRig(name, rig)).findings;
    const told = before.map((finding) =>
      usual.fixesFor(rig, finding, {}).map((fix) => renamedEdit(name, fix.edit)),
    );
    expect(
      after.map((finding) => renamed.fixesFor(renamedRig(name, rig), finding, {}).map((f) => f.edit)),
    ).toEqual(told);
    expect(told.flat().length).toBeGreaterThan(0);
  });

  const REQUESTS = [
    ['receiver-trs', 'phone-ctia', 'camera-app'],
    ['receiver-trs', 'phone-8-pin', 'browser-studio'],
    ['condenser-xlr', 'tablet-usb-c', 'recorder-app'],
    ['usb-mic-big', 'tablet-8-pin', 'recorder-app'],
  ] as const;

  it.each(REQUESTS)('from %s to %s the same routes are found', { timeout: 60_000 }, (source, host, app) => {
    const request: RouteRequest = {
      format: 'symplex-request',
      version: 1,
      sources: [{ part: source }],
      destinations: [{ part: host, app }],
    };
    const told = (found: ReturnType<World['plan']>, by: (id: string) => string) =>
      found.routes.map((route) => ({
        verdict: route.verdict,
        cost: route.cost,
        joints: route.joints,
        parts: route.parts.map(by).sort(),
        over: Math.round(route.overNoise),
      }));
    const before = told(usual.plan(request), (id) => name('part', id));
    const after = told(
      renamed.plan({
        ...request,
        sources: [{ part: name('part', source) }],
        destinations: [{ part: name('part', host), app: name('app', app) }],
      }),
      (id) => id,
    );
    expect(after).toEqual(before);
    expect(before.length).toBeGreaterThan(0);
  });
});
