import { expect, it } from 'vitest';
import { CATALOGUE, findPart } from '../../parts';
import { powerable } from './powerable';

const ids = (hosts: readonly string[], parts = CATALOGUE) =>
  powerable(
    parts,
    hosts.map((id) => findPart(id)!),
  ).map(({ id }) => id);

it('an interface for a bus that no phone or computer here has is left out, and nothing else', () => {
  const left = ids(['phone-ctia']);
  expect(CATALOGUE.map(({ id }) => id).filter((id) => !left.includes(id))).toEqual(['interface-firewire']);
});

it('what runs on USB is left out where nothing gives USB power, and stays where a host or a charger with its lead does', () => {
  const some = (...names: readonly string[]) => names.map((id) => findPart(id)!);
  expect(ids(['phone-ctia'], some('interface-small'))).toEqual([]);
  expect(ids(['phone-usb-c'], some('interface-small'))).toEqual(['interface-small']);
  expect(ids(['phone-ctia'], some('interface-small', 'charger-usb-c-socket'))).toContain('interface-small');
});
