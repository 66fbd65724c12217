import { describe, expect, it } from 'vitest';
import { plan } from '../../../../testing/by-steps';
import { layLayout as lay } from '../../../../testing/lay-layout';
import { analyse } from '../../judge';
import { CATALOGUE, findPart, type Part } from '../../parts';
import { applyEdit } from '../../rig';
import { isPadInLine, isSlipIn, withPadAt, withSlipIn } from './slip-in';

const part = (id: string): Part => findPart(id)!;
const isolator = part('isolator-trs');
const PARTS = ['isolator-trs', 'isolator-jack', 'lead-jack-ts', 'lead-jack-trs', 'lead-rca'].map(part);

describe('what only parts grounds', () => {
  it('of the catalogue: the two line isolators; no DI box, no microphone transformer, no coupler, no pad', () => {
    expect(CATALOGUE.filter(isSlipIn).map(({ id }) => id)).toEqual(['isolator-trs', 'isolator-jack']);
  });

  it('not what exchanges the sides on the way, raises the voltage, joins the sleeves after all, or has capacitors for windings', () => {
    const crossed = isolator.circuit.map((element) =>
      element.kind === 'resistor'
        ? {
            ...element,
            b: ({ 'out.T': 'out.R', 'out.R': 'out.T' } as Record<string, string>)[element.b] ?? element.b,
          }
        : element,
    );
    const raised = isolator.circuit.map((element) =>
      element.kind === 'transformer' ? { ...element, ratio: 10 } : element,
    );
    const joined = [...isolator.circuit, { kind: 'wire', a: 'in.S', b: 'out.S' } as const];
    const blocked = (['T', 'R', 'S'] as const).map(
      (contact) => ({ kind: 'capacitor', a: `in.${contact}`, b: `out.${contact}`, farads: 1e-4 }) as const,
    );
    for (const circuit of [crossed, raised, joined, blocked])
      expect(isSlipIn({ ...isolator, id: 'own', circuit })).toBe(false);
    expect(isSlipIn({ ...isolator, id: 'own' })).toBe(true);
  });
});

describe('put into a joint', () => {
  const hums = lay(
    ['mixer-xlr-main', 'lead-headphones-aux', 'computer-separate'],
    ['mixer-xlr-main.phones lead-headphones-aux.big', 'lead-headphones-aux.small computer-separate.mic'],
  );
  const joints = (layout: typeof hums) =>
    layout.joints.map(({ plug, jack }) => `${plug.part}.${plug.port} ${jack.part}.${jack.port}`);

  it('as it is where it has a plug of its own, with a lead that leads on where it has two sockets', () => {
    const [small, big] = withSlipIn(hums, PARTS);
    expect(joints(small!)).toEqual([
      'lead-headphones-aux.big mixer-xlr-main.phones',
      'lead-headphones-aux.small isolator-trs.in',
      'isolator-trs.out computer-separate.mic',
    ]);
    expect(joints(big!)).toEqual([
      'lead-headphones-aux.big isolator-jack.in',
      'lead-headphones-aux.small computer-separate.mic',
      'lead-jack-trs.a isolator-jack.out',
      'lead-jack-trs.b mixer-xlr-main.phones',
    ]);
    expect(new Set(big!.joints.map(({ id }) => id)).size).toBe(4);
  });

  it('no second one behind it', () => {
    const [small] = withSlipIn(hums, PARTS);
    expect(withSlipIn(small!, PARTS)).toEqual([]);
  });
});

describe('a pad ahead of what records', () => {
  const loud = lay(
    ['mixer-fx-usb', 'lead-headphones-aux', 'camera-trs'],
    ['mixer-fx-usb.phones lead-headphones-aux.big', 'lead-headphones-aux.small camera-trs.mic'],
  );

  it('of the catalogue: the pads; no lead with a pad in it, no coupler, no isolator', () => {
    expect(CATALOGUE.filter(isPadInLine).map(({ id }) => id)).toEqual([
      'pad-xlr-20',
      'pad-xlr-40',
      'pad-jack-40',
    ]);
  });

  it('goes into the socket of what records, and no second one behind it', () => {
    const padded = withPadAt(loud, ['camera-trs'], CATALOGUE);
    expect(padded.map((one) => one.pieces.at(-1)?.part.id)).toEqual(['pad-jack-40']);
    expect(padded[0]!.joints.map(({ plug, jack }) => `${plug.part} ${jack.part}`)).toEqual([
      'lead-headphones-aux mixer-fx-usb',
      'lead-headphones-aux pad-jack-40',
      'pad-jack-40 camera-trs',
    ]);
    expect(withPadAt(padded[0]!, ['camera-trs'], CATALOGUE)).toEqual([]);
  });
});

describe('a desk on the mains, and a computer on the mains (common practice: an isolator in the sound lead)', () => {
  const { routes } = plan({
    format: 'symplex-request',
    version: 1,
    sources: [{ part: 'dynamic-xlr' }],
    through: 'mixer-xlr-main',
    destinations: [{ part: 'computer-separate', app: 'recorder-app' }],
  });

  it('is answered with an isolator, without which it hums', { timeout: 60_000 }, () => {
    const way = routes.find(({ parts }) => parts.includes(isolator.id));
    expect(way?.rank).toBe(1);
    const piece = way!.rig.parts.find((one) => one.part === isolator.id)!;
    const [into, out] = way!.rig.joints.filter(
      ({ plug, jack }) => plug.part === piece.id || jack.part === piece.id,
    );
    const without = applyEdit(way!.rig, { kind: 'bypass', part: piece.id, joints: [into!.id, out!.id] });
    expect(without.parts).toHaveLength(way!.rig.parts.length - 1);
    expect(analyse(way!.rig).findings.map(({ code }) => code)).not.toContain('hums');
    expect(analyse(without).findings.map(({ code }) => code)).toContain('hums');
  });
});
