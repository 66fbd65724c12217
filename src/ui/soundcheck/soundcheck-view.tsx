'use client';
import { AudioLines, FolderOpen, ListChecks, Mic } from 'lucide-react';
import { useRouter, useSearchParams } from 'next/navigation';
import { useCallback, useEffect, useState } from 'react';
import { capital, nameOf } from '../../core/words/words';
import { guideFor } from '../../core/words/guide';
import type { Rig } from '../../core/rig';
import { FAULTY } from '../../core/signal/render/faulty';
import { faultyStandIn, simulateTake } from '../../workers/takes';
import type { TakeRecord } from '../../store/records';
import { receiveDrops } from '../shared/dropped-file';
import { sayThreadTrouble } from '../shared/thread-trouble';
import { useWholeRigs } from '../shared/use-whole-rigs';
import type { Range } from './listen-range';
import { trimmedStretches, trimmedWav } from './trim-take';
import { InputChoice, STAND_IN } from './input-choice';
import { readFile, readKept, sweep, type NewTake, type Reading } from './keep-take';
import { RecordPanel } from './record-panel';
import { startRecording, type RecorderEars } from './recorder';
import { startStandIn } from './stand-in-input';
import { TakeList } from './take-list';
import { TakePanel } from './take-panel';
import { useRecording } from './use-recording';
import { useTakes } from './use-takes';

/** The most letters that a take’s name may have. */
const LONGEST_NAME = 120;

interface Busy {
  readonly says: string;
  readonly share: number;
  readonly cancel: () => void;
}

/** Reads files one at a time: what is read, how far, and what went wrong. */
function useReading(open: (take: string) => void) {
  const [busy, setBusy] = useState<Busy>();
  const [trouble, setTrouble] = useState<string>();
  const read = useCallback(
    (file: Blob, about: NewTake) => {
      setTrouble(undefined);
      const tell = (share: number) => setBusy((now) => now && { ...now, share });
      const reading: Reading = readFile(file, about, tell);
      setBusy({
        says: `Reading ${about.name}`,
        share: 0,
        cancel: () => {
          reading.cancel();
          setBusy(undefined);
        },
      });
      void reading.done.then((refused) => {
        setBusy(undefined);
        if (refused === undefined) open(reading.id);
        else setTrouble(`${about.name} ${refused}.`);
      });
    },
    [open],
  );
  return { busy, trouble, setTrouble, read };
}

function RigChoice(props: {
  rigs: readonly Rig[];
  rig: Rig | undefined;
  recorder: string | undefined;
  choose: (rig: string, recorder?: string) => void;
}) {
  const { rigs, rig, recorder, choose } = props;
  return (
    <div className="flex flex-wrap gap-x-4 gap-y-2">
      <label className="flex min-w-0 items-center gap-2">
        Against rig
        <select
          className="field min-w-0"
          value={rig?.id ?? ''}
          onChange={(event) => choose(event.target.value)}
        >
          <option value="">none</option>
          {rigs.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </select>
      </label>
      {rig && rig.purpose.recorders.length > 1 && (
        <label className="flex min-w-0 items-center gap-2">
          recorded on
          <select
            className="field min-w-0"
            value={recorder}
            onChange={(event) => choose(rig.id, event.target.value)}
          >
            {rig.purpose.recorders.map((id) => (
              <option key={id} value={id}>
                {nameOf(rig, id)}
              </option>
            ))}
          </select>
        </label>
      )}
    </div>
  );
}

/** The rig and recorder that the address names, else the rig changed last. */
function useAsked() {
  const asked = useSearchParams();
  const router = useRouter();
  const stored = useWholeRigs();
  const named = asked.get('rig');
  const latest = [...(stored ?? [])].sort((a, b) => b.updatedAt - a.updatedAt)[0];
  const record = named === null ? latest : stored?.find(({ id }) => id === named);
  const rig = record?.doc;
  const wanted = asked.get('at');
  const recorder = rig?.purpose.recorders.find((id) => id === wanted) ?? rig?.purpose.recorders[0];
  const go = useCallback(
    (change: Readonly<Record<string, string | undefined>>) => {
      const next = new URLSearchParams(window.location.search);
      for (const [key, value] of Object.entries(change)) {
        if (value === undefined) next.delete(key);
        else next.set(key, value);
      }
      router.replace(`/sound-check?${next}`, { scroll: false });
    },
    [router],
  );
  return { rigs: stored?.map(({ doc }) => doc), rig, recorder, take: asked.get('take') ?? undefined, go };
}

function Begin(props: {
  rig: Rig | undefined;
  record: (guided: boolean) => void;
  file: (file: File) => void;
  simulate: () => void;
  faulty: (name: string) => void;
}) {
  const { rig, record, file, simulate, faulty } = props;
  return (
    <div className="mt-3 flex flex-wrap gap-2">
      <button type="button" className="button button-main" onClick={() => record(false)}>
        <Mic size={18} aria-hidden /> Record
      </button>
      <button type="button" className="button" disabled={!rig} onClick={() => record(true)}>
        <ListChecks size={18} aria-hidden /> Guided take
      </button>
      <label className="button focus-within:outline-2">
        <FolderOpen size={18} aria-hidden /> Open a file
        <input
          type="file"
          className="sr-only"
          accept="audio/*,video/*,.wav"
          onChange={(event) => {
            const [chosen] = event.target.files ?? [];
            event.target.value = '';
            if (chosen) file(chosen);
          }}
        />
      </label>
      <button type="button" className="button" disabled={!rig} onClick={simulate}>
        <AudioLines size={18} aria-hidden /> Stand-in: what this rig would give
      </button>
      <select
        className="field min-w-0"
        aria-label="A take with a fault, to see and hear how it looks"
        value=""
        onChange={(event) => faulty(event.target.value)}
      >
        <option value="">Show me a fault…</option>
        {FAULTY.map(({ name }) => (
          <option key={name} value={name}>
            {name}
          </option>
        ))}
      </select>
    </div>
  );
}

/** Measure a test take, and hold it against the rig. */
export function SoundCheckView() {
  const { rigs, rig, recorder, take: shown, go } = useAsked();
  const takes = useTakes();
  const open = useCallback((take: string) => go({ take }), [go]);
  const { busy, trouble, setTrouble, read } = useReading(open);
  const recording = useRecording(open, setTrouble);
  const [device, setDevice] = useState<string>();
  const about = { ...(rig && { rig: rig.id }), ...(recorder !== undefined && { recorder }) };
  const takeFile = (file: File) => read(file, { ...about, name: file.name, origin: 'file' });
  useEffect(() => receiveDrops(takeFile));
  useEffect(() => void sweep(), []);
  if (!takes || !rigs) return <p className="text-soft p-6">Opening the takes…</p>;
  const take = takes.find(({ id }) => id === shown) ?? takes[0];
  const record = (guided: boolean) => {
    setTrouble(undefined);
    const steps = guided && rig ? guideFor(rig) : [];
    if (device !== STAND_IN) {
      const listen = (ears: RecorderEars) => startRecording(device, ears);
      void recording.start({ listen, origin: 'recorded', steps, about });
    } else if (rig && recorder !== undefined) {
      const wav = simulateTake(rig, recorder, takes.length + 1, guided ? steps : undefined);
      const listen = async (ears: RecorderEars) => startStandIn(await wav, ears);
      void recording.start({ listen, origin: 'stand-in', steps, about });
    }
  };
  const trim = async (from: TakeRecord, range: Range) => {
    const wav = await trimmedWav(from, range);
    const stretches = trimmedStretches(from.stretches ?? [], range);
    const name = `${from.name}, a part`.slice(0, LONGEST_NAME);
    if (wav) read(wav, { ...about, name, origin: from.origin, ...(stretches.length > 0 && { stretches }) });
  };
  const faulty = (fault: string) =>
    faultyStandIn(fault, takes.length + 1).then(
      (wav) => read(wav, { name: capital(fault), origin: 'example' }),
      (error: unknown) => setTrouble(sayThreadTrouble(error)),
    );
  const simulate = () => {
    if (!rig || recorder === undefined) return;
    simulateTake(rig, recorder, takes.length + 1).then(
      (wav) => read(wav, { ...about, name: `Stand-in for ${rig.name}`, origin: 'stand-in' }),
      (error: unknown) => setTrouble(sayThreadTrouble(error)),
    );
  };
  return (
    <div className="mx-auto max-w-4xl p-4 lg:p-6" data-ready>
      <h1 className="text-2xl font-bold">Sound check</h1>
      <p className="text-soft">
        Speak, play it back, measure it: what a test take shows, and what it says about the rig. Nothing
        leaves this browser.
      </p>
      <div className="mt-3">
        <RigChoice rigs={rigs} rig={rig} recorder={recorder} choose={(id, at) => go({ rig: id, at })} />
      </div>
      {recording.state ? (
        <RecordPanel state={recording.state} stop={recording.stop} />
      ) : (
        <>
          <Begin
            rig={rig}
            record={record}
            file={takeFile}
            simulate={simulate}
            faulty={(name) => void faulty(name)}
          />
          <InputChoice device={device} hasRig={rig !== undefined} choose={setDevice} />
        </>
      )}
      {trouble !== undefined && (
        <p role="alert" className="text-vermilion mt-3 font-semibold">
          {trouble}
        </p>
      )}
      {busy && (
        <p className="mt-3 flex items-center gap-3" role="status">
          {busy.says}… {Math.round(busy.share * 100)} %
          <button type="button" className="button" onClick={busy.cancel}>
            Stop
          </button>
        </p>
      )}
      <TakeList
        takes={takes}
        shown={take?.id}
        open={open}
        again={
          recording.state
            ? undefined
            : (id) => void readKept(id).catch((error: unknown) => setTrouble(String(error)))
        }
      />
      {take?.measures && (
        <div className="mt-4">
          <TakePanel
            key={take.id}
            take={{ ...take, measures: take.measures }}
            takes={takes}
            rig={rig}
            recorder={recorder}
            trim={(range) => void trim(take, range)}
          />
        </div>
      )}
    </div>
  );
}
