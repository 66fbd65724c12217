'use client';
import { Download, Printer } from 'lucide-react';
import { shoppingCsv } from '../../core/files/shopping-csv';
import { shoppingLines } from '../../core/files/shopping-lines';
import { itemName } from '../../core/words/say-route';
import type { Route } from '../../core/search/route';
import { money } from '../shared/money';
import { saveFile } from '../shared/save-file';
import { Sheet } from '../shared/sheet';
import { PluggingList } from './plugging-list';

/** What a way needs from the shop: to save, or on paper. */
export function ShoppingList({
  route,
  currency,
  close,
}: {
  route: Route;
  currency: string;
  close: () => void;
}) {
  const buy = [...route.buy, ...(route.also?.buy ?? [])];
  const lines = shoppingLines(buy);
  const total = lines.reduce((sum, line) => sum + line.total, 0);
  return (
    <Sheet title={`Shopping list: ${route.rig.name}`} open onOpenChange={(open) => !open && close()}>
      <div className="paper overflow-y-auto" tabIndex={0} role="group" aria-label="List and steps">
        {lines.length === 0 ? (
          <p>Nothing is to be bought: everything is in the drawer.</p>
        ) : (
          <table className="w-full">
            <thead>
              <tr className="text-soft text-left text-sm">
                <th scope="col">Thing</th>
                <th scope="col" className="text-right">
                  Count
                </th>
                <th scope="col" className="text-right">
                  About
                </th>
              </tr>
            </thead>
            <tbody>
              {lines.map((line) => (
                <tr key={`${line.part} ${line.length ?? ''}`} className="border-line border-t">
                  <td className="py-1.5">{itemName(line)}</td>
                  <td className="text-right">{line.count}</td>
                  <td className="text-right">{money(line.total, currency)}</td>
                </tr>
              ))}
            </tbody>
            <tfoot>
              <tr className="border-line border-t font-bold">
                <td className="py-1.5">Together</td>
                <td />
                <td className="text-right">{money(total, currency)}</td>
              </tr>
            </tfoot>
          </table>
        )}
        <p className="text-soft mt-2 text-sm">Prices are typical and yours to correct.</p>
        {route.own.length > 0 && (
          <p className="mt-2">From the drawer: {route.own.map(itemName).join(', ')}.</p>
        )}
        <h3 className="mt-3 mb-1 font-bold">At home</h3>
        <PluggingList rig={route.rig} />
      </div>
      <div className="mt-3 flex flex-wrap gap-2 print:hidden">
        <button
          type="button"
          className="button"
          onClick={() => saveFile('shopping-list.csv', shoppingCsv(buy, currency), 'text/csv')}
        >
          <Download size={16} aria-hidden /> Save as CSV
        </button>
        <button type="button" className="button" onClick={() => window.print()}>
          <Printer size={16} aria-hidden /> Print
        </button>
      </div>
    </Sheet>
  );
}
