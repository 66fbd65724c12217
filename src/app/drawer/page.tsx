import type { Metadata } from 'next';
import { DrawerView } from '../../ui/drawer/drawer-view';

export const metadata: Metadata = { title: 'Drawer · Symplex' };

export default function Page() {
  return <DrawerView />;
}
