import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/martian-mono';
import type { Metadata, Viewport } from 'next';
import { connection } from 'next/server';
import type { ReactNode } from 'react';
import './globals.css';
import { Shell } from '../ui/shell/shell';

export const metadata: Metadata = {
  title: 'Symplex',
  description: 'Know what the phone will really record before you plug anything in.',
};

export const viewport: Viewport = {
  themeColor: [
    { media: '(prefers-color-scheme: light)', color: '#e8ede9' },
    { media: '(prefers-color-scheme: dark)', color: '#10181a' },
  ],
};

export default async function RootLayout({ children }: { children: ReactNode }) {
  // The nonce of proxy.ts reaches the page's scripts only when the page is made for this request.
  await connection();
  return (
    <html lang="en">
      <body>
        <Shell opensDemo={process.env['SYMPLEX_DEMO'] === '1'}>{children}</Shell>
      </body>
    </html>
  );
}
