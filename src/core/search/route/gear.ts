import type { Part } from '../../parts';
import { partIn } from './far-ends';
import type { RouteRequest } from './request';

/** A part as if it had not these ports: they are broken, or in use for something else. */
export function withoutPorts(part: Part, unusable: readonly string[] = []): Part {
  if (unusable.length === 0) return part;
  const isLeft = (id: string) => !unusable.includes(id);
  return {
    ...part,
    ports: part.ports.filter(({ id }) => isLeft(id)),
    ...(part.host && {
      host: { ...part.host, busPorts: part.host.busPorts.filter(({ port }) => isLeft(port)) },
    }),
  };
}

/** What is to stay plugged in beside. */
export const carriedIn = (request: RouteRequest): Part[] =>
  (request.carried ?? []).flatMap((id) => partIn(request, id) ?? []);

/** The box that is there already, with the ports that can be used. */
export function boxOf(request: RouteRequest): Part | undefined {
  const part = request.through === undefined ? undefined : partIn(request, request.through);
  return part && withoutPorts(part, request.throughUnusable);
}
