'use client';
import { useEffect, useRef, useState } from 'react';
import { capital } from '../../core/words/words';
import { sayWishPrice } from '../../core/words/say-route';
import {
  pricedWishes,
  priceOfWish,
  without,
  type Plan,
  type RouteRequest,
  type WishPrice,
} from '../../core/search/route';
import { startBeside, type Search } from '../../workers/planner';
import { money } from '../shared/money';
import { sayThreadTrouble } from '../shared/thread-trouble';

type Asked =
  | { readonly state: 'idle' }
  | { readonly state: 'asking' | 'done'; readonly prices: readonly WishPrice[] }
  | { readonly state: 'failed'; readonly says: string };

/** Asks again without each wish in turn, on the search's thread; leaving the page ends it. */
function usePrices(plan: Plan, request: RouteRequest) {
  const [asked, setAsked] = useState<Asked>({ state: 'idle' });
  const running = useRef<Search | undefined>(undefined);
  useEffect(() => () => running.current?.cancel(), []);
  const ask = async () => {
    const prices: WishPrice[] = [];
    setAsked({ state: 'asking', prices });
    try {
      for (const wish of pricedWishes(request)) {
        running.current = startBeside(without(request, wish));
        prices.push(priceOfWish(wish, plan, await running.current.answer));
        setAsked({ state: 'asking', prices: [...prices] });
      }
      setAsked({ state: 'done', prices });
    } catch (error: unknown) {
      setAsked({ state: 'failed', says: sayThreadTrouble(error) });
    } finally {
      running.current = undefined;
    }
  };
  return { asked, ask };
}

/** What each wish costs, asked for by a press: the best way with it against the best without. */
export function WishPrices(props: { plan: Plan; request: RouteRequest; currency: string }) {
  const { asked, ask } = usePrices(props.plan, props.request);
  if (props.plan.routes.length === 0 || pricedWishes(props.request).length === 0) return null;
  if (asked.state === 'idle')
    return (
      <button type="button" className="button" onClick={() => void ask()}>
        What does each wish cost?
      </button>
    );
  return (
    <div role="status" className="bg-card border-line rounded-xl border p-3">
      {asked.state === 'failed' ? (
        asked.says
      ) : (
        <ul>
          {asked.prices.map((price) => (
            <li key={price.wish}>
              {capital(sayWishPrice(price, (amount) => money(amount, props.currency)))}
            </li>
          ))}
          {asked.state === 'asking' && <li className="text-soft">Asking without the next one…</li>}
        </ul>
      )}
    </div>
  );
}
