'use client';
import { useRouter, useSearchParams } from 'next/navigation';
import { compareRigs, sayArrival, sayLevel, sayTitle } from '../../core/words';
import type { RigRecord } from '../../store/records';
import { useAnalysis } from '../bench/use-analysis';
import { SentenceView } from '../shared/sentence-view';
import { useWholeRigs } from '../shared/use-whole-rigs';
import { VERDICT_SIGN } from '../shared/verdict-sign';

/** What arrives in one of the two, in short. */
function Side({ record }: { record: RigRecord }) {
  const { analysed, trouble } = useAnalysis(record.doc);
  if (trouble !== undefined) return <p role="alert">{trouble}</p>;
  if (!analysed) return <p className="text-soft">Computing…</p>;
  const { rig, analysis } = analysed;
  const { Icon, word, text } = VERDICT_SIGN[analysis.verdict];
  return (
    <>
      <p className={`flex items-center gap-1.5 font-semibold ${text}`}>
        <Icon size={18} aria-hidden /> {word}
      </p>
      {analysis.arrives.map((arrival) => (
        <div key={`${arrival.source} ${arrival.recorder}`} className="mt-2">
          <p className="font-semibold">{sayArrival(rig, arrival)}</p>
          <p>
            <SentenceView sentence={sayLevel(rig, arrival)} />
          </p>
        </div>
      ))}
      <ul className="mt-2 list-disc pl-5">
        {[...new Set(analysis.findings.map((finding) => sayTitle(rig, finding)))].map((title) => (
          <li key={title}>{title}</li>
        ))}
      </ul>
    </>
  );
}

function Picker(props: {
  label: string;
  rigs: readonly RigRecord[];
  value: string | undefined;
  change: (id: string) => void;
}) {
  return (
    <label className="flex flex-wrap items-center gap-2">
      {props.label}
      <select
        className="field min-w-0"
        value={props.value}
        onChange={(event) => props.change(event.target.value)}
      >
        {props.rigs.map((rig) => (
          <option key={rig.id} value={rig.id}>
            {rig.doc.name}
          </option>
        ))}
      </select>
    </label>
  );
}

function Differences({ one, other }: { one: RigRecord; other: RigRecord }) {
  const found = compareRigs(one.doc, other.doc);
  if (found.length === 0) return <p className="mt-3">The two rigs do not differ.</p>;
  return (
    <div className="mt-2 overflow-x-auto">
      <table className="w-full">
        <caption className="sr-only">What differs</caption>
        <thead className="text-soft text-left">
          <tr>
            <th className="py-1 pr-3 font-semibold">What</th>
            <th className="py-1 pr-3 font-semibold">{one.doc.name}</th>
            <th className="py-1 font-semibold">{other.doc.name}</th>
          </tr>
        </thead>
        <tbody>
          {found.map((difference, index) => (
            <tr key={index} className="border-line border-t align-top">
              <td className="py-1.5 pr-3">{difference.what}</td>
              <td className="py-1.5 pr-3">{difference.one ?? '–'}</td>
              <td className="py-1.5">{difference.other ?? '–'}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** Two rigs side by side: what arrives in each, and what differs. */
export function CompareView() {
  const rigs = useWholeRigs();
  const router = useRouter();
  const asked = useSearchParams();
  if (!rigs) return <p className="text-soft p-6">Opening the rigs…</p>;
  const one = rigs.find((rig) => rig.id === asked.get('one')) ?? rigs[0];
  const other = rigs.find((rig) => rig.id === asked.get('other')) ?? rigs.find((rig) => rig !== one);
  if (!one || !other)
    return <p className="p-6">Comparing takes two rigs; lay out another, or duplicate one on the Bench.</p>;
  const show = (a: string, b: string) =>
    router.replace(`/compare?one=${encodeURIComponent(a)}&other=${encodeURIComponent(b)}`);
  return (
    <div className="mx-auto max-w-4xl p-4 lg:p-6" data-ready>
      <h1 className="text-2xl font-bold">Compare</h1>
      <div className="mt-3 grid gap-4 sm:grid-cols-2">
        <section aria-label="First rig" className="border-line bg-card rounded-xl border p-4">
          <Picker label="First" rigs={rigs} value={one.id} change={(id) => show(id, other.id)} />
          <div className="mt-3">
            <Side key={one.id} record={one} />
          </div>
        </section>
        <section aria-label="Second rig" className="border-line bg-card rounded-xl border p-4">
          <Picker label="Second" rigs={rigs} value={other.id} change={(id) => show(one.id, id)} />
          <div className="mt-3">
            <Side key={other.id} record={other} />
          </div>
        </section>
      </div>
      <h2 className="mt-6 text-xl font-bold">What differs</h2>
      <Differences one={one} other={other} />
    </div>
  );
}
