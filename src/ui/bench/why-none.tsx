'use client';
import type { Finding } from '../../core/checks';
import type { Fixes } from '../../core/search/fixes';
import { sayWhyNone } from '../../core/words';

/** Why a finding has no fix of its own; nothing where it goes with another. */
export function WhyNone({ finding, found }: { readonly finding: Finding; readonly found: Fixes }) {
  const says = sayWhyNone(finding, found);
  return says === undefined ? null : <p className="mt-2">{says}</p>;
}
