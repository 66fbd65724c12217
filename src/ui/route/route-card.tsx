'use client';
import { ArrowRight, ShoppingBasket } from 'lucide-react';
import { sayArrival } from '../../core/words';
import { itemName, sayLost } from '../../core/words/say-route';
import { shoppingLines } from '../../core/files/shopping-lines';
import type { Route } from '../../core/search/route';
import { formatDb } from '../../core/units';
import { money } from '../shared/money';
import { VERDICT_SIGN } from '../shared/verdict-sign';
import { lazily } from '../shared/lazily';
import { cannot, settingsMade } from './route-words';
import { RouteLadder } from './route-ladder';

interface RouteCardProps {
  readonly route: Route;
  readonly currency: string;
  readonly compared: boolean;
  readonly compare: ((wanted: boolean) => void) | undefined;
  readonly take: () => void;
  readonly shop: () => void;
}

function Fact({ name, children }: { name: string; children: string }) {
  return (
    <div className="flex flex-wrap gap-x-2">
      <dt className="text-soft">{name}</dt>
      <dd className="font-semibold">{children}</dd>
    </div>
  );
}

const PluggingList = lazily(() => import('./plugging-list').then((m) => m.PluggingList));

/** One proved way: what arrives, its chain in small, what to get, on what it rests, and the way onto the Bench. */
export function RouteCard({ route, currency, compared, compare, take, shop }: RouteCardProps) {
  const { rig, buy, own } = route;
  const { Icon, text, word } = VERDICT_SIGN[route.verdict];
  const made = settingsMade(rig);
  const lacking = cannot(route);
  return (
    <article
      aria-label={`Way ${route.rank}`}
      className="border-line bg-card rounded-xl border p-4"
      data-route={route.rank}
    >
      <header className="flex flex-wrap items-start gap-x-3 gap-y-1">
        <span className="bg-ink text-paper grid size-8 flex-none place-items-center rounded-full font-bold">
          {route.rank}
        </span>
        <div className="min-w-0 flex-1">
          <h3 className="text-lg leading-snug font-bold">
            {route.arrives.map((arrival) => sayArrival(rig, arrival)).join(' ')}
          </h3>
          <p className={`flex items-center gap-1.5 text-sm font-semibold ${text}`}>
            <Icon size={16} aria-hidden /> {word}, proved by the engine
          </p>
        </div>
        <p className="leading-tight max-sm:basis-full max-sm:pl-11 sm:text-right">
          <span className="text-xl font-bold sm:block">
            {route.cost > 0 ? `about ${money(route.cost, currency)}` : 'nothing to buy'}
          </span>{' '}
          {buy.length > 0 && <span className="text-soft text-sm">{buy.length} to buy</span>}
        </p>
      </header>
      <div className="mt-3 grid items-start gap-4 sm:grid-cols-2">
        <RouteLadder rig={rig} />
        <div className="space-y-2 text-[0.9375rem]">
          {buy.length > 0 && (
            <div>
              <h4 className="text-soft text-sm font-semibold">To buy</h4>
              <ul>
                {shoppingLines(buy).map((line) => (
                  <li key={`${line.part} ${line.length ?? ''}`} className="flex justify-between gap-3">
                    <span>
                      {line.count > 1 && `${line.count} × `}
                      {itemName(line)}
                    </span>
                    <span className="font-mono text-sm">{money(line.total, currency)}</span>
                  </li>
                ))}
              </ul>
            </div>
          )}
          {own.length > 0 && (
            <div>
              <h4 className="text-soft text-sm font-semibold">From the drawer</h4>
              <ul>
                {own.map((item, index) => (
                  <li key={index}>{itemName(item)}</li>
                ))}
              </ul>
            </div>
          )}
          {made.length > 0 && (
            <div>
              <h4 className="text-soft text-sm font-semibold">Set</h4>
              <ul>
                {made.map(({ placed, name, turned }) => (
                  <li key={placed}>
                    {name}
                    <ul className="pl-4">
                      {turned.map((says) => (
                        <li key={says}>{says}</li>
                      ))}
                    </ul>
                  </li>
                ))}
              </ul>
            </div>
          )}
          <dl>
            <Fact name="Speech over noise">{formatDb(route.overNoise)}</Fact>
            <Fact name="Speech peaks">{route.arrives.map((a) => formatDb(a.peak, 'dBFS')).join(', ')}</Fact>
            <Fact name="Rests on">{route.evidence}</Fact>
          </dl>
          {route.also && (
            <p>
              With the second recorder:{' '}
              {route.also.buy.length === 0
                ? 'the same gear serves.'
                : `also ${route.also.buy.map(itemName).join(', ')}.`}
            </p>
          )}
          {lacking.length > 0 && (
            <p>
              <span className="text-brass font-semibold">What it cannot do:</span> {lacking.join('; ')}.
            </p>
          )}
          {route.lost && <p className="text-soft">{sayLost(route.lost)}</p>}
        </div>
      </div>
      <details className="fold mt-3">
        <summary className="font-semibold">How to plug it in</summary>
        <PluggingList rig={rig} />
      </details>
      <footer className="mt-3 flex flex-wrap items-center gap-2">
        <button type="button" className="button button-main" onClick={take}>
          Take it to the Bench <ArrowRight size={16} aria-hidden />
        </button>
        <button type="button" className="button" onClick={shop}>
          <ShoppingBasket size={16} aria-hidden /> Shopping list
        </button>
        {compare && (
          <label className="ml-auto flex min-h-9 items-center gap-2 pointer-coarse:min-h-11">
            <input
              type="checkbox"
              className="size-5 accent-[var(--sea)]"
              checked={compared}
              onChange={(event) => compare(event.target.checked)}
            />
            Compare
          </label>
        )}
      </footer>
    </article>
  );
}
