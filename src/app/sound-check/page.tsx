import type { Metadata } from 'next';
import { SoundCheckView } from '../../ui/soundcheck/soundcheck-view';

export const metadata: Metadata = { title: 'Sound check · Symplex' };

export default function Page() {
  return <SoundCheckView />;
}
