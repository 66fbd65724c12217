import { PRACTICE, requestOf } from '../../testing/practice';
import { keyOfRoute, planSteps, type Route, type RouteRequest } from '../core/search/route';

/** How long a request took, ms: until the first way was proved, until the one that stays first was, until that was known, and to its end. */
interface Taken {
  readonly name: string;
  readonly first: number;
  readonly stays: number;
  readonly known: number;
  readonly end: number;
  readonly complete: boolean;
}

/** Asks as the page does, which takes over what is proved on the way as soon as there is more of it. */
function ask(name: string, request: RouteRequest): Taken {
  const begun = performance.now();
  const heads: (readonly [key: string, at: number])[] = [];
  const note = (route: Route | undefined) => {
    const key = route && keyOfRoute(route);
    if (key !== undefined && heads.at(-1)?.[0] !== key) heads.push([key, performance.now() - begun]);
  };
  const steps = planSteps(request);
  let sureAt: number | undefined;
  for (let known = 0; ;) {
    const step = steps.next();
    if (step.done) {
      note(step.value.routes[0]);
      const end = performance.now() - begun;
      const { complete } = step.value;
      const [first, stays] = [heads[0]?.[1] ?? end, heads.at(-1)?.[1] ?? end];
      return { name, first, stays, known: sureAt ?? end, end, complete };
    }
    if (step.value.sure > 0) sureAt ??= performance.now() - begun;
    if (step.value.found === known) continue;
    known = step.value.found;
    note(step.value.soFar?.()[0]);
  }
}

/** The bars for each request and for the slowest twentieth of them, ms. */
const EACH = 300;
const MOST = 1000;

function lineOf(what: string, times: readonly number[]): string {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (share: number) =>
    (sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN).toFixed(0);
  const over = (bar: number) => times.filter((t) => t > bar).length;
  return `| ${what} | ${at(0.5)} | ${at(0.95)} | ${at(1)} | ${over(EACH)} | ${over(MOST)} |`;
}

/** The requests of practice, once each: when there is an answer, when there is the one that stays, when it is known that nothing better is left. */
export function practiceLines(): string[] {
  const taken = PRACTICE.map((one) => ask(one.name, requestOf(one)));
  const cut = taken.filter(({ complete }) => !complete).length;
  const slow = taken.filter(({ end }) => end > MOST).sort((a, b) => b.end - a.end);
  return [
    `The ${taken.length} requests of practice, once each, ms; ${cut} are cut by time and say so.`,
    '',
    `| until | median | p95 | longest | over ${EACH} | over ${MOST} |`,
    '| --- | ---: | ---: | ---: | ---: | ---: |',
    lineOf(
      'the first way is proved',
      taken.map(({ first }) => first),
    ),
    lineOf(
      'the way that stays first is',
      taken.map(({ stays }) => stays),
    ),
    lineOf(
      'it is known that none better follows',
      taken.map(({ known }) => known),
    ),
    lineOf(
      'the end',
      taken.map(({ end }) => end),
    ),
    '',
    `Over ${MOST}: ${slow.map(({ name, end }) => `${name} (${end.toFixed(0)})`).join('; ')}.`,
  ];
}
