import type { Plan, Route } from '../../src/core/search/route';
import type { Answer, PracticeCase } from './case';

/** Among the first so many an answer of practice has to be. */
const AMONG = 2;

const between = (route: Route): string[] => [...route.buy, ...route.own].map(({ part }) => part);

function isAnswer(route: Route, { has, only }: Answer, owned: ReadonlySet<string>): boolean {
  const parts = between(route);
  const wanted = has.map((word) => word.split('|'));
  if (!wanted.every((choice) => choice.some((id) => parts.includes(id)))) return false;
  return !only || parts.every((id) => owned.has(id) || wanted.some((choice) => choice.includes(id)));
}

/** Undefined where a plan says what practice does; else what is wrong with it. */
export function against(asked: PracticeCase, plan: Plan): string | undefined {
  const said = plan.routes.map((route) => `${route.cost}: ${between(route).join(' ')}`);
  if (asked.contradicts !== undefined) {
    const { problem } = plan;
    return problem?.code === 'contradiction' && problem.wish === asked.contradicts
      ? undefined
      : `no contradiction of ${asked.contradicts} named`;
  }
  if (asked.answers.length === 0) {
    if (plan.routes.length > 0) return `there is no way, but: ${said.join(' / ')}`;
    const named = plan.hindrances.map(({ wish }) => wish);
    return (asked.obstacles ?? []).every((wish) => named.some((one) => one === wish))
      ? undefined
      : `obstacles named: ${named.join() || 'none'}`;
  }
  const forbidden = plan.routes.flatMap(between).find((id) => asked.never?.includes(id));
  if (forbidden !== undefined) return `${forbidden} is used: ${said.join(' / ')}`;
  const owned = new Set(Object.keys(asked.drawer ?? {}));
  const good = plan.routes.slice(0, AMONG).some((r) => asked.answers.some((a) => isAnswer(r, a, owned)));
  return good
    ? undefined
    : said.join(' / ') || `no way; obstacles: ${plan.hindrances.map((h) => h.wish).join()}`;
}
