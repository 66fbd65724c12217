'use client';
import { Hourglass } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { sayHindrance, sayPlan, saySure } from '../../core/words/say-route';
import {
  keyOfRoute,
  sayRequestProblem,
  type Plan,
  type Route,
  type RouteRequest,
} from '../../core/search/route';
import { addRig } from '../../store/rigs';
import { lazily } from '../shared/lazily';
import { keeping } from '../shared/report-trouble';
import { RouteCard } from './route-card';
import { RouteTable } from './route-table';
import { TradeChart } from './trade-chart';
import { WishPrices } from './wish-prices';

/** Fetched with all that stands in it: a list that came later would push the buttons from under a finger. */
const ShoppingList = lazily(() => import('./shopping-list').then((m) => m.ShoppingList));

const MOST_COMPARED = 4;

function Card(props: {
  route: Route;
  currency: string;
  compared: boolean;
  compare: ((wanted: boolean) => void) | undefined;
  shop: (route: Route) => void;
}) {
  const router = useRouter();
  const { route, shop } = props;
  return (
    <RouteCard
      route={route}
      currency={props.currency}
      compared={props.compared}
      compare={props.compare}
      shop={() => shop(route)}
      take={() => void keeping(addRig(route.rig).then((id) => router.push(`/?rig=${id}`)))}
    />
  );
}

/** How long is looked when more time is asked for, s. */
export const LONGER_SECONDS = 20;

interface ResultsProps {
  readonly plan: Plan;
  readonly request: RouteRequest;
  readonly currency: string;
  /** It is still looked for better ones. */
  readonly looking: boolean;
  /** Asks the same once more, with more time. */
  readonly longer: () => void;
}

/** What was found, how far was looked, and what can be asked about it. */
function Heading({ plan, request, currency, looking, longer }: ResultsProps) {
  const count = plan.routes.length;
  if (looking)
    return (
      <>
        <h2 className="text-xl font-bold">
          {count} proved {count === 1 ? 'way' : 'ways'} so far
        </h2>
        <p className="text-soft mb-3">
          {plan.sure ? `${saySure(plan.sure)}.` : 'A better one would come first.'} Still looking…
        </p>
      </>
    );
  return (
    <>
      <h2 className="text-xl font-bold">{sayPlan(plan)}</h2>
      <p className="text-soft mb-3">
        {plan.searched.toLocaleString('en')} {plan.searched === 1 ? 'layout was' : 'layouts were'} tried
        {plan.complete ? '; nothing better is left' : ''}.
      </p>
      <div className="mb-3 flex flex-wrap items-start gap-3 empty:hidden">
        {plan.late && (
          <button type="button" className="button" onClick={longer}>
            <Hourglass size={16} aria-hidden /> Look for up to {LONGER_SECONDS} s
          </button>
        )}
        <WishPrices plan={plan} request={request} currency={currency} />
      </div>
    </>
  );
}

/** The answer: the ways, best first, and why each comes after the one before; or what stands in the way. */
export function Results(props: ResultsProps) {
  const { plan, currency, looking } = props;
  const [compared, setCompared] = useState<readonly number[]>([]);
  const [shopping, setShopping] = useState<Route>();
  const { routes, hindrances, problem } = plan;
  const toggle = (rank: number, wanted: boolean) =>
    setCompared((before) =>
      wanted ? [...before, rank].slice(-MOST_COMPARED) : before.filter((r) => r !== rank),
    );
  if (problem) {
    return (
      <p role="alert" className="bg-card border-l-4 border-[var(--vermilion)] p-4">
        {sayRequestProblem(problem)} Nothing was searched.
      </p>
    );
  }
  const chosen = routes.filter((route) => compared.includes(route.rank));
  return (
    <section aria-label={looking ? 'Ways so far' : 'Ways'} data-ready={looking ? undefined : true}>
      <Heading {...props} />
      {chosen.length > 1 && <RouteTable routes={chosen} currency={currency} />}
      <ul className="mt-4 space-y-4">
        {routes.map((route) => (
          <li key={keyOfRoute(route)}>
            <Card
              route={route}
              currency={currency}
              compared={compared.includes(route.rank)}
              compare={routes.length > 1 && !looking ? (wanted) => toggle(route.rank, wanted) : undefined}
              shop={setShopping}
            />
          </li>
        ))}
        {hindrances.map((hindrance) => (
          <li key={hindrance.wish}>
            <p className="mb-2 font-semibold">{sayHindrance(hindrance)}</p>
            <Card
              route={hindrance.route}
              currency={currency}
              compared={false}
              compare={undefined}
              shop={setShopping}
            />
          </li>
        ))}
      </ul>
      {routes.length > 1 && !looking && <TradeChart routes={routes} currency={currency} />}
      {shopping && <ShoppingList route={shopping} currency={currency} close={() => setShopping(undefined)} />}
    </section>
  );
}
