'use client';
import dynamic from 'next/dynamic';
import { usePathname } from 'next/navigation';
import { Suspense, useEffect, useState, type ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { loadWalker } from '../../store/history';
import { openDemoOnce } from '../../store/demo';
import { openStore, type StoreState } from '../../store/open';
import { keeping } from '../shared/report-trouble';
import { DropZone } from './drop-zone';
import { Navigation } from './navigation';
import { BrokenView } from './broken-view';

const NoStorageNotice = dynamic(() => import('./no-storage').then((m) => m.NoStorageNotice), { ssr: false });
const Toaster = dynamic(() => import('sonner').then((m) => m.Toaster), { ssr: false });

/** Opens the store, once; nothing that reads it is shown before. */
function useStore(opensDemo: boolean): StoreState | undefined {
  const [state, setState] = useState<StoreState>();
  useEffect(() => {
    let current = true;
    const open = async () => {
      const opened = await openStore();
      if (opensDemo) await keeping(openDemoOnce());
      if (current) setState(opened);
      // At leisure, so that the first edit need not wait for it.
      void loadWalker();
    };
    void open();
    return () => {
      current = false;
    };
  }, [opensDemo]);
  return state;
}

/** A view that breaks takes nothing else with it. */
function View({ children }: { children: ReactNode }) {
  const path = usePathname();
  return (
    <ErrorBoundary FallbackComponent={BrokenView} resetKeys={[path]}>
      {children}
    </ErrorBoundary>
  );
}

/** The frame of every view: navigation, place to drop files, messages. */
export function Shell({ opensDemo, children }: { opensDemo: boolean; children: ReactNode }) {
  const store = useStore(opensDemo);
  return (
    <Suspense>
      <a
        href="#main"
        className="sr-only focus:not-sr-only focus:absolute focus:z-20 focus:bg-card focus:p-3 focus:text-ink"
      >
        Skip to the rig
      </a>
      {store === undefined ? (
        <p className="text-soft p-6">Opening what is stored…</p>
      ) : (
        <div className="flex min-h-dvh flex-col lg:flex-row">
          <Navigation />
          <main id="main" className="min-w-0 flex-1">
            {store.without && <NoStorageNotice why={store.without} detail={store.detail} />}
            <View>{children}</View>
          </main>
        </div>
      )}
      <DropZone />
      <Suspense>
        <Toaster position="bottom-left" closeButton toastOptions={{ className: 'symplex-toast' }} />
      </Suspense>
    </Suspense>
  );
}
