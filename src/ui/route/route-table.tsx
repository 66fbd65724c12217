import type { Route } from '../../core/search/route';
import { formatDb } from '../../core/units';
import { money } from '../shared/money';
import { itemName } from '../../core/words/say-route';
import { cannot } from './route-words';

/** Up to four ways side by side, row by row. */
export function RouteTable({ routes, currency }: { routes: readonly Route[]; currency: string }) {
  const rows: readonly (readonly [string, (route: Route) => string])[] = [
    ['Cost, about', (r) => money(r.cost, currency)],
    ['To buy', (r) => r.buy.map(itemName).join(', ') || 'nothing'],
    ['From the drawer', (r) => r.own.map(itemName).join(', ') || 'nothing'],
    ['Sides', (r) => r.arrives.map((a) => a.channels).join(', ')],
    ['Speech peaks', (r) => r.arrives.map((a) => formatDb(a.peak, 'dBFS')).join(', ')],
    ['Speech over noise', (r) => formatDb(r.overNoise)],
    ['Joints', (r) => String(r.joints)],
    ['Rests on', (r) => r.evidence],
    ['Cannot', (r) => cannot(r).join('; ') || '–'],
  ];
  return (
    <section aria-label="Compared" className="mt-4 overflow-x-auto" tabIndex={0}>
      <h2 className="mb-1 text-lg font-bold">Side by side</h2>
      <table className="w-full min-w-[32rem] text-[0.9375rem]">
        <thead>
          <tr className="text-left">
            <td />
            {routes.map((route) => (
              <th key={route.rank} scope="col" className="px-2 py-1">
                Way {route.rank}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, of]) => (
            <tr key={name} className="border-line border-t align-top">
              <th scope="row" className="text-soft py-1.5 pr-3 text-left font-semibold">
                {name}
              </th>
              {routes.map((route) => (
                <td key={route.rank} className="px-2 py-1.5">
                  {of(route)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
