'use client';
import dynamic from 'next/dynamic';
import { Suspense, useEffect, type ReactNode } from 'react';
import { openDemoOnce } from '../../store/demo';
import { keeping } from '../shared/report-trouble';
import { DropZone } from './drop-zone';
import { Navigation } from './navigation';

const Toaster = dynamic(() => import('sonner').then((m) => m.Toaster), { ssr: false });

/** The frame of every view: navigation, place to drop files, messages. */
export function Shell({ opensDemo, children }: { opensDemo: boolean; children: ReactNode }) {
  useEffect(() => {
    if (opensDemo) void keeping(openDemoOnce());
  }, [opensDemo]);
  return (
    <Suspense>
      <a
        href="#main"
        className="sr-only focus:not-sr-only focus:absolute focus:z-20 focus:bg-card focus:p-3 focus:text-ink"
      >
        Skip to the rig
      </a>
      <div className="flex min-h-dvh flex-col lg:flex-row">
        <Navigation />
        <main id="main" className="min-w-0 flex-1">
          {children}
        </main>
      </div>
      <DropZone />
      <Suspense>
        <Toaster position="bottom-left" closeButton toastOptions={{ className: 'symplex-toast' }} />
      </Suspense>
    </Suspense>
  );
}
