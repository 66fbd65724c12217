import { describe, expect, it } from 'vitest';
import { figuresOf, withFigure } from './model/figures';
import { findPart } from '.';
import { fromTemplate, ownCopy, ownId, TEMPLATES, withConnector } from './own-part';
import { checkPart } from './model/check-part';
import { connectorsLike } from './own-part';

const receiver = findPart('receiver-trs')!;
const figure = (part: typeof receiver, name: string) => figuresOf(part).find((f) => f.name.startsWith(name))!;

describe('figures of a part', () => {
  it('are told one by one for each place of a switch', () => {
    const names = figuresOf(receiver).map((f) => f.name);
    expect(names).toContain('Price, about');
    expect(names.filter((name) => name.startsWith('Sensitivity, output'))).toHaveLength(2);
  });

  it('change where they stand and nowhere else; the shipped part stays as it was', () => {
    const before = JSON.stringify(receiver);
    const low = figure(receiver, 'Sensitivity, output low');
    const changed = withFigure(receiver, low, low.value - 3);
    expect(figure(changed, 'Sensitivity, output low').value).toBe(low.value - 3);
    expect(figure(changed, 'Sensitivity, output high').value).toBe(
      figure(receiver, 'Sensitivity, output high').value,
    );
    expect(JSON.stringify(receiver)).toBe(before);
  });

  it('are one where both sides have the same, and change on both', () => {
    const player = findPart('player-portable')!;
    const output = figure(player, 'Resistance');
    const changed = withFigure(
      player,
      {
        at: figuresOf(player)
          .filter((f) => f.unit === 'ohm')
          .flatMap((f) => f.at),
      },
      100,
    );
    expect(changed.circuit.filter((e) => e.kind === 'resistor').map((e) => e.ohms)).toEqual([100, 100]);
    expect(output.value).toBe(10);
  });

  it('a pointer that leads nowhere changes nothing', () => {
    expect(withFigure(receiver, { at: ['/circuit/99/ohms', '/__proto__/x'] }, 1)).toEqual(receiver);
    expect(({} as Record<string, unknown>)['x']).toBeUndefined();
  });
});

describe('parts of one’s own', () => {
  it('get an id that says their name, and a fresh one where it is taken', () => {
    expect(ownId('My old pack!', new Set())).toBe('own-my-old-pack');
    expect(ownId('My old pack', new Set(['own-my-old-pack']))).toBe('own-my-old-pack-2');
    expect(ownId('…', new Set())).toBe('own-part');
  });

  it.each(TEMPLATES.map((template) => [template.name, template] as const))(
    '%s begins as a good part',
    (_, t) => {
      const part = fromTemplate(t);
      expect(part && checkPart(ownCopy(part, t.name, new Set()))).toMatchObject({ ok: true });
      for (const [name, value] of Object.entries(t.figures ?? {})) {
        const found = figuresOf(part!).filter((f) => f.name.startsWith(name));
        expect(found.length).toBeGreaterThan(0);
        expect(found.map((f) => f.value)).toEqual(found.map(() => value));
      }
    },
  );

  it('may have another connector of the same contacts', () => {
    expect(connectorsLike('trs-3.5')).toEqual(['trs-3.5', 'trs-6.35']);
    const big = withConnector(receiver, 'out', 'trs-6.35');
    expect(checkPart(ownCopy(big, 'Big', new Set()))).toMatchObject({ ok: true });
  });

  it.each<[string, object, string]>([
    ['an id like a shipped one', { id: 'receiver-trs' }, '/id'],
    ['no name', { name: '' }, '/name'],
    ['a price below nothing', { price: -1 }, '/price'],
    ['a price that is no number', { price: 'cheap' }, '/price'],
    [
      'a port of no known kind',
      { ports: [{ ...receiver.ports[0], connector: 'din' }] },
      '/ports/0/connector',
    ],
    [
      'a wire to a contact that it has not',
      { circuit: [...receiver.circuit, { kind: 'wire', a: 'out.R2', b: 'x' }] },
      `/circuit/${receiver.circuit.length}/a`,
    ],
    [
      'a figure on a switch that it has not',
      { circuit: [{ kind: 'resistor', a: 'out.T', b: 'out.S', ohms: { setting: 'gone', values: {} } }] },
      '/circuit/0/ohms',
    ],
    [
      'a resistor without ohms',
      { circuit: [{ kind: 'resistor', a: 'out.T', b: 'out.S' }] },
      '/circuit/0/ohms',
    ],
    [
      'a negative resistance',
      { circuit: [{ kind: 'resistor', a: 'out.T', b: 'out.S', ohms: -5 }] },
      '/circuit/0/ohms',
    ],
    ['an ear on nothing', { ears: [{ side: 'left', plus: 'nowhere', minus: 'out.S' }] }, '/ears/0/plus'],
    ['a path from nothing', { paths: [{ from: 'x', to: 'y', gain: [0] }] }, '/paths/0/from'],
    [
      'a USB device on no port',
      { bus: { port: 'x', registersAs: 'audio', authenticated: true, draw: 1, captures: [] } },
      '/bus/port',
    ],
  ])('%s is refused, with its place', (_, change, at) => {
    const result = checkPart({ ...receiver, id: 'own-x', ...change });
    expect(result.ok ? '' : result.problem.at).toBe(at);
  });
});
