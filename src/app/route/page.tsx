import type { Metadata } from 'next';
import { RouteView } from '../../ui/route/route-view';

export const metadata: Metadata = { title: 'Route · Symplex' };

export default function Page() {
  return <RouteView />;
}
