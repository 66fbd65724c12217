import type { PolicyNote, Rig } from '../core/rig';
import { database } from './database';
import { isPolicy } from './stored';

/** Keeps what the user found out about an app, for this and every other rig. */
export async function keepPolicy(policy: PolicyNote): Promise<void> {
  // The store writes its key into the object that it is given.
  await database.policies.add({ ...policy });
}

/** What is known of apps, the oldest first. */
export async function knownPolicies(): Promise<PolicyNote[]> {
  const stored = await database.policies.orderBy('id').toArray();
  return stored.filter(isPolicy).map(({ id: _id, ...policy }) => policy);
}

const key = (policy: PolicyNote): string => JSON.stringify(Object.entries(policy).sort());

/** A rig with what the user knows of its apps written into it, so that an exported file says on what it rests. */
export function withPolicies(rig: Rig, known: readonly PolicyNote[]): Rig {
  const apps = new Set(rig.parts.flatMap((placed) => placed.app ?? []));
  const own = rig.policies ?? [];
  const have = new Set(own.map(key));
  const more = known.filter((policy) => apps.has(policy.app) && !have.has(key(policy)));
  return more.length === 0 ? rig : { ...rig, policies: [...more, ...own] };
}
