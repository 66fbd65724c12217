'use client';
import { Search } from 'lucide-react';
import { usePathname, useRouter } from 'next/navigation';
import Link from 'next/link';
import { useCallback } from 'react';
import { useCommands, type Command } from '../commands/commands';
import { nameOfRig, useRigNames, useShownRig } from '../shared/use-rigs';
import { Dialogs, openDialog } from './dialogs';
import { RigList } from './rig-list';

const VIEWS = [
  { href: '/', name: 'Bench' },
  { href: '/route', name: 'Route' },
  { href: '/sound-check', name: 'Sound check' },
  { href: '/drawer', name: 'Drawer' },
  { href: '/compare', name: 'Compare' },
  { href: '/calculators', name: 'Calculators' },
] as const;

/** Left of the page on a wide screen, above it on a phone: the views, then the rigs. */
export function Navigation() {
  const path = usePathname();
  const router = useRouter();
  const rigs = useRigNames();
  const shown = useShownRig();
  const current = 'record' in shown ? shown.record.id : undefined;
  const bench = current === undefined ? '/' : `/?rig=${encodeURIComponent(current)}`;
  const offer = useCallback((): readonly Command[] => {
    const go = (href: string) => () => router.push(href);
    return [
      ...(rigs ?? []).map((rig) => ({
        group: 'Rigs',
        says: nameOfRig(rig),
        run: go(`/?rig=${encodeURIComponent(rig.id)}`),
      })),
      ...VIEWS.map(({ href, name }) => ({
        group: 'Views',
        says: name,
        run: go(href === '/' ? bench : href),
      })),
    ];
  }, [rigs, bench, router]);
  useCommands(offer);
  return (
    <div className="border-line bg-paper max-lg:border-b lg:sticky lg:top-0 lg:flex lg:h-dvh lg:w-52 lg:flex-none lg:flex-col lg:border-r">
      <nav aria-label="Views" className="flex items-center gap-1 p-2 lg:flex-col lg:items-stretch lg:p-3">
        <span className="px-1 text-lg font-bold max-[26rem]:sr-only lg:px-2 lg:pt-2 lg:pb-3">Symplex</span>
        <div className="flex min-w-0 flex-1 gap-1 overflow-x-auto p-1 lg:flex-none lg:flex-col lg:overflow-visible lg:p-0">
          {VIEWS.map(({ href, name }) => (
            <Link
              key={href}
              href={href === '/' ? bench : href}
              aria-current={path === href ? 'page' : undefined}
              className="flex min-h-11 flex-none items-center max-lg:last:hidden rounded-lg px-2.5 lg:px-3 text-ink hover:bg-card aria-[current=page]:bg-ink aria-[current=page]:font-semibold aria-[current=page]:text-paper lg:min-h-10"
            >
              {name}
            </Link>
          ))}
        </div>
        <button
          type="button"
          className="button flex-none max-lg:ml-auto lg:mt-1 lg:justify-start"
          onClick={() => openDialog('palette')}
        >
          <Search size={18} aria-hidden /> <span className="max-lg:sr-only">Find, Ctrl K</span>
        </button>
      </nav>
      {rigs && path === '/' && <RigList rigs={rigs} current={current} />}
      <Dialogs />
    </div>
  );
}
