'use client';
import { Ellipsis, Search } from 'lucide-react';
import { usePathname, useRouter } from 'next/navigation';
import Link from 'next/link';
import { useCallback } from 'react';
import { useCommands, type Command } from '../commands/commands';
import { nameOfRig, useRigNames, useShownRig } from '../shared/use-rigs';
import { Dialogs, openDialog } from './dialogs';
import { lazily } from '../shared/lazily';

/** It waits for what is stored anyway. */
const RigList = lazily(() => import('./rig-list').then((m) => m.RigList));

const VIEWS = [
  { href: '/', name: 'Bench' },
  { href: '/route', name: 'Route' },
  { href: '/sound-check', name: 'Sound check' },
  { href: '/drawer', name: 'Drawer' },
  { href: '/compare', name: 'Compare' },
  { href: '/calculators', name: 'Calculators' },
] as const;

/** So many views stand in a phone's bar; the others are under "More". */
const IN_BAR = 4;

interface ViewLinkProps {
  readonly href: string;
  readonly name: string;
  readonly current: boolean;
  readonly className?: string;
}

const ViewLink = ({ href, name, current, className = '' }: ViewLinkProps) => (
  <Link
    href={href}
    aria-current={current ? 'page' : undefined}
    className={`text-ink hover:bg-panel aria-[current=page]:bg-ink aria-[current=page]:text-paper flex min-h-11 flex-none items-center rounded-lg px-1.5 aria-[current=page]:font-semibold lg:min-h-10 lg:px-3 ${className}`}
  >
    {name}
  </Link>
);

/** The views that a phone's bar has no room for. A new path closes it. */
function MoreViews({ path }: { path: string }) {
  const more = VIEWS.slice(IN_BAR);
  const here = more.some(({ href }) => href === path);
  return (
    <details key={path} className="relative flex-none lg:hidden">
      <summary
        aria-label="More views"
        className={`flex size-11 cursor-pointer list-none items-center justify-center rounded-lg ${here ? 'bg-ink text-paper' : ''}`}
      >
        <Ellipsis size={20} aria-hidden />
      </summary>
      <div className="border-line bg-card absolute right-0 z-20 mt-1 min-w-40 rounded-xl border p-1 shadow-lg">
        {more.map(({ href, name }) => (
          <ViewLink key={href} href={href} name={name} current={path === href} className="px-3" />
        ))}
      </div>
    </details>
  );
}

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
      <nav
        aria-label="Views"
        className="flex items-center gap-1 px-1 py-2 lg:flex-col lg:items-stretch lg:p-3"
      >
        <span className="px-1 text-lg font-bold max-[26rem]:sr-only lg:px-2 lg:pt-2 lg:pb-3">Symplex</span>
        <div className="flex min-w-0 flex-1 gap-0.5 overflow-x-auto p-1 lg:gap-1 lg:flex-none lg:flex-col lg:overflow-visible lg:p-0">
          {VIEWS.map(({ href, name }, i) => (
            <ViewLink
              key={href}
              href={href === '/' ? bench : href}
              name={name}
              current={path === href}
              className={i < IN_BAR ? '' : 'max-lg:hidden'}
            />
          ))}
        </div>
        <MoreViews path={path} />
        <button
          type="button"
          className="button flex-none max-lg:ml-auto lg:mt-1 lg:justify-start"
          onClick={() => openDialog('palette')}
        >
          <Search size={18} aria-hidden /> <span className="max-lg:sr-only">Find, Ctrl K</span>
        </button>
      </nav>
      {path === '/' && (
        // Its place is kept while it comes: nothing below jumps from under a thumb.
        <div className="max-lg:min-h-13 lg:contents">{rigs && <RigList rigs={rigs} current={current} />}</div>
      )}
      <Dialogs />
    </div>
  );
}
