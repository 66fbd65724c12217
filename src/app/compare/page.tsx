import type { Metadata } from 'next';
import { CompareView } from '../../ui/compare/compare-view';

export const metadata: Metadata = { title: 'Compare · Symplex' };

export default function Page() {
  return <CompareView />;
}
