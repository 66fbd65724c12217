import { BenchView } from '../ui/bench/bench-view';

export default function Page() {
  return <BenchView />;
}
