'use client';
import { CircleCheck, TriangleAlert, Info, Play } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import type { TakeFinding } from '../../core/signal/reading';
import { capital } from '../../core/words/words';
import { sayTake, sayTakeFinding, takeTitle } from '../../core/words/say-take';
import type { Measures } from '../../core/signal/measure';
import type { Rig } from '../../core/rig';
import type { TakeOrigin, TakeRecord } from '../../store/records';
import { BalanceChart } from './balance-chart';
import { LevelHistogram, LoudnessChart, SpectrumChart } from './charts';
import { Explanations } from './explanations';
import { wavOf } from './keep-take';
import { ListenRange, type Range } from './listen-range';
import { measureRows } from './measure-rows';
import { findingsOf } from './read-kept';
import { savePicture } from './save-picture';
import { StretchList } from './stretch-list';
import { TakeTools } from './take-tools';
import { useListening } from './use-listening';
import { Waveform, type Mark } from './waveform';

/** What is said of a take that nobody recorded. */
const MADE: Partial<Record<TakeOrigin, string>> = {
  'stand-in': 'A stand-in: made from the engine’s figures for this rig, not recorded by anybody.',
  example: 'An example: made here to show the fault, of no rig, not recorded by anybody.',
};

/** The kept sound as an address that the browser plays; undefined where none is kept. */
function useSound(take: TakeRecord): string | undefined {
  const [url, setUrl] = useState<string>();
  useEffect(() => {
    let made: string | undefined;
    let current = true;
    void wavOf(take).then((wav) => {
      if (!current || !wav) return;
      made = URL.createObjectURL(wav);
      setUrl(made);
    });
    return () => {
      current = false;
      if (made !== undefined) URL.revokeObjectURL(made);
      setUrl(undefined);
    };
  }, [take]);
  return url;
}

const sayOrigin = ({ origin: { kind, text } }: TakeFinding): string =>
  kind === 'our own' ? capital(text) : `Source: ${text}`;

/** Places to listen at: so many, and this far apart, seconds. */
const [PLACES, APART] = [6, 0.5];
const apart = (seconds: readonly number[]): number[] =>
  seconds
    .reduce<number[]>((kept, at) => (at - (kept.at(-1) ?? -1) >= APART ? [...kept, at] : kept), [])
    .slice(0, PLACES);

function FindingItem({ finding, listen }: { finding: TakeFinding; listen?: (at: number) => void }) {
  const note = finding.severity === 'note';
  const Icon = note ? Info : TriangleAlert;
  return (
    <li className="border-line border-t py-2 first:border-t-0">
      <p className={`flex items-center gap-1.5 font-semibold ${note ? 'text-soft' : 'text-brass'}`}>
        <Icon size={18} aria-hidden /> {takeTitle(finding)}
        {note && <span className="font-normal">(good to know)</span>}
      </p>
      <p>{sayTakeFinding(finding)}</p>
      <p className="text-soft text-sm">{sayOrigin(finding)}.</p>
      {listen && finding.atSeconds && finding.atSeconds.length > 0 && (
        <p className="mt-1 flex flex-wrap gap-1">
          {apart(finding.atSeconds).map((at) => (
            <button
              key={at}
              type="button"
              className="button"
              aria-label={`Listen at ${at.toFixed(1)} s`}
              onClick={() => listen(at)}
            >
              <Play size={14} aria-hidden /> {at.toFixed(1)} s
            </button>
          ))}
        </p>
      )}
    </li>
  );
}

function Drawings({ measures, beside }: { measures: Measures; beside: Measures | undefined }) {
  return (
    <div className="mt-4 grid gap-4 md:grid-cols-2">
      <section aria-label="Spectrum">
        <h3 className="text-soft text-sm font-semibold">Spectrum, dBFS</h3>
        <SpectrumChart measures={measures} beside={beside} />
      </section>
      <section aria-label="Loudness over time">
        <h3 className="text-soft text-sm font-semibold">Short-term loudness, LUFS</h3>
        <LoudnessChart measures={measures} beside={beside} />
      </section>
      <section aria-label="Stereo image">
        <h3 className="text-soft text-sm font-semibold">Between the sides, dBFS</h3>
        <BalanceChart measures={measures} />
      </section>
      <section aria-label="Levels">
        <h3 className="text-soft text-sm font-semibold">How often each level is there, dBFS</h3>
        <LevelHistogram measures={measures} />
      </section>
    </div>
  );
}

/** Every measure; beside another take where one is chosen. */
function MeasureTable({ measures, beside }: { measures: Measures; beside: TakeRecord | undefined }) {
  const other = beside?.measures && measureRows(beside.measures);
  return (
    <table className="mt-1 w-full">
      <caption className="sr-only">Every measure</caption>
      {beside && (
        <thead className="text-soft text-left text-sm">
          <tr>
            <th scope="col">
              <span className="sr-only">Measure</span>
            </th>
            <th scope="col" className="font-semibold">
              This take
            </th>
            <th scope="col" className="font-semibold">
              {beside.name}
            </th>
          </tr>
        </thead>
      )}
      <tbody>
        {measureRows(measures).map(({ name, value }, i) => (
          <tr key={name} className="border-line border-t">
            <th scope="row" className="py-1 pr-2 text-left font-normal">
              {name}
            </th>
            <td className={`py-1 pr-2 ${other && other[i]?.value !== value ? 'font-semibold' : ''}`}>
              {value}
            </td>
            {other && <td className="py-1">{other[i]?.value}</td>}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The other take that this one is held against. */
function BesideChoice(props: {
  others: readonly TakeRecord[];
  chosen: string;
  choose: (take: string) => void;
}) {
  const { others, chosen, choose } = props;
  if (others.length === 0) return null;
  return (
    <label className="mt-4 flex min-w-0 flex-wrap items-center gap-2 text-sm">
      Compare with
      <select className="field min-w-0" value={chosen} onChange={(event) => choose(event.target.value)}>
        <option value="">nothing</option>
        {others.map((one) => (
          <option key={one.id} value={one.id}>
            {one.name}
          </option>
        ))}
      </select>
    </label>
  );
}

interface TakePanelProps {
  readonly take: TakeRecord & { readonly measures: Measures };
  readonly takes: readonly TakeRecord[];
  readonly rig: Rig | undefined;
  readonly recorder: string | undefined;
  /** Takes a stretch of it in as a take of its own. */
  readonly trim: (range: Range) => void;
}

/** What one take shows. */
export function TakePanel({ take, takes, rig, recorder, trim }: TakePanelProps) {
  const { measures } = take;
  const findings = findingsOf(take);
  const sound = useSound(take);
  const audio = useRef<HTMLAudioElement>(null);
  const listening = useListening(audio, measures.durationSeconds);
  const panel = useRef<HTMLElement>(null);
  const [other, setOther] = useState('');
  const marks: Mark[] = findings.flatMap((f) =>
    (f.atSeconds ?? []).map((at) => ({ at, says: takeTitle(f) })),
  );
  const clean = findings.every(({ severity }) => severity === 'note');
  const others = takes.filter((one) => one.id !== take.id && one.measures);
  const beside = others.find(({ id }) => id === other);
  const says = sayTake(measures, findings);
  return (
    <article ref={panel} aria-label={take.name} data-take={take.id} data-clean={clean}>
      <h2 className={`flex items-start gap-2 text-xl font-bold ${clean ? 'text-sea' : 'text-brass'}`}>
        {clean ? (
          <CircleCheck className="mt-0.5 flex-none" aria-hidden />
        ) : (
          <TriangleAlert className="mt-0.5 flex-none" aria-hidden />
        )}
        {says}
      </h2>
      {MADE[take.origin] && <p className="text-soft">{MADE[take.origin]}</p>}
      {take.lostSeconds !== undefined && (
        <p role="note" className="text-brass mt-1 font-semibold" data-lost={take.lostSeconds}>
          {take.lostSeconds.toFixed(1)} s of sound never reached this page: the device was too busy or asleep.
          Close what else runs and record again before you trust holes, clicks or echo.
        </p>
      )}
      <Waveform
        measures={measures}
        marks={marks}
        stretches={take.stretches ?? []}
        range={listening.range}
        now={listening.now}
        seek={listening.play}
      />
      {sound === undefined ? (
        <p className="text-soft mt-1 text-sm">
          {take.bytes > 0 ? 'Fetching the sound…' : 'Its sound is not kept.'}
        </p>
      ) : (
        <>
          <audio
            ref={audio}
            src={sound}
            controls
            className="mt-2 w-full"
            aria-label="The take"
            onTimeUpdate={(event) => listening.passed(event.currentTarget.currentTime)}
            onEnded={() => listening.looping && listening.play(listening.range[0])}
          />
          <ListenRange
            seconds={measures.durationSeconds}
            range={listening.range}
            setRange={listening.setRange}
            looping={listening.looping}
            setLooping={listening.loop}
            trim={() => trim(listening.range)}
          />
        </>
      )}
      {findings.length > 0 && (
        <ul aria-label="What the take shows" className="border-line bg-card mt-3 rounded-xl border px-4 py-2">
          {findings.map((finding) => (
            <FindingItem
              key={finding.code}
              finding={finding}
              {...(sound !== undefined && { listen: listening.atMark })}
            />
          ))}
        </ul>
      )}
      <StretchList take={take} rig={rig} recorder={recorder} />
      {take.origin !== 'example' && <Explanations rig={rig} recorder={recorder} measures={measures} />}
      <BesideChoice others={others} chosen={other} choose={setOther} />
      <Drawings measures={measures} beside={beside?.measures} />
      <section aria-label="Every measure" className="mt-4">
        <h3 className="text-soft text-sm font-semibold">Every measure</h3>
        <MeasureTable measures={measures} beside={beside} />
      </section>
      <TakeTools
        take={take}
        picture={async (name) => {
          if (panel.current) await savePicture(panel.current, name, `${take.name}. ${says}`);
        }}
      />
    </article>
  );
}
