import type { Metadata } from 'next';
import { CalculatorsView } from '../../ui/calculators/calculators-view';

export const metadata: Metadata = { title: 'Calculators · Symplex' };

export default function Page() {
  return <CalculatorsView />;
}
