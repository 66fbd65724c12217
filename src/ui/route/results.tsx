'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { sayHindrance, sayPlan } from '../../core/words/say-route';
import { sayRequestProblem, type Plan, type Route, type RouteRequest } from '../../core/search/route';
import { addRig } from '../../store/rigs';
import { keeping } from '../shared/report-trouble';
import { RouteCard } from './route-card';
import { RouteTable } from './route-table';
import { ShoppingList } from './shopping-list';
import { TradeChart } from './trade-chart';
import { WishPrices } from './wish-prices';

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

/** The answer: the ways, best first, and why each comes after the one before; or what stands in the way. */
export function Results(props: { plan: Plan; request: RouteRequest; currency: string }) {
  const { plan, request, currency } = props;
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
    <section aria-label="Ways" data-ready>
      <h2 className="text-xl font-bold">{sayPlan(plan)}</h2>
      <p className="text-soft mb-3">
        {plan.searched.toLocaleString('en')} {plan.searched === 1 ? 'layout was' : 'layouts were'} tried
        {plan.complete ? '; nothing better is left' : ''}.
      </p>
      <WishPrices plan={plan} request={request} currency={currency} />
      {chosen.length > 1 && <RouteTable routes={chosen} currency={currency} />}
      <ul className="mt-4 space-y-4">
        {routes.map((route) => (
          <li key={route.rank}>
            <Card
              route={route}
              currency={currency}
              compared={compared.includes(route.rank)}
              compare={routes.length > 1 ? (wanted) => toggle(route.rank, wanted) : undefined}
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
      {routes.length > 1 && <TradeChart routes={routes} currency={currency} />}
      {shopping && <ShoppingList route={shopping} currency={currency} close={() => setShopping(undefined)} />}
    </section>
  );
}
