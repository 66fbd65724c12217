'use client';
import { Plus, X } from 'lucide-react';
import type { ReactNode } from 'react';
import { APPS, DEFAULT_APP } from '../../core/apps';
import { playsBack, type Part, type PartPort } from '../../core/parts';
import { connectorName, isDigitalConnector } from '../../core/plugs';
import { isSource } from '../../core/rig';
import type { RequestDestination, RequestSource } from '../../core/search/route';
import { CarriedAlong, OnlyUnder, UnusablePorts } from './gear-fields';
import { PartChoice } from './part-choice';
import type { Question } from './use-request';

interface RequestFormProps {
  readonly question: Question;
  readonly change: (next: Question) => void;
  /** Everything that can be chosen, what is owned first. */
  readonly parts: readonly Part[];
  readonly currency: string;
}

const replaced = <T,>(list: readonly T[], index: number, item: T): T[] =>
  index < list.length ? list.map((old, n) => (n === index ? item : old)) : [...list, item];
const removed = <T,>(list: readonly T[], index: number): T[] => list.filter((_, n) => n !== index);

function Remove({ what, remove }: { what: string; remove: () => void }) {
  return (
    <button type="button" className="button px-2" aria-label={`Leave out ${what}`} onClick={remove}>
      <X size={16} aria-hidden />
    </button>
  );
}

/** A host, and the app where it runs any. */
export function DestinationChoice(props: {
  title: string;
  parts: readonly Part[];
  destination: RequestDestination | undefined;
  change: (next: RequestDestination) => void;
}) {
  const { title, parts, destination, change } = props;
  const hosts = parts.filter((part) => part.host);
  const runsApps = hosts.find((part) => part.id === destination?.part)?.host?.runsApps;
  return (
    <>
      <PartChoice
        title={title}
        parts={hosts}
        chosen={destination?.part}
        empty="a phone, tablet, computer or camera"
        choose={(part) => {
          const runs = hosts.find((h) => h.id === part)?.host?.runsApps;
          change(runs ? { part, app: destination?.app ?? DEFAULT_APP } : { part });
        }}
      />
      {destination && runsApps && (
        <label className="inline-flex max-w-full flex-wrap items-center gap-2">
          with the
          <select
            className="field max-w-full font-semibold"
            aria-label="App"
            value={destination.app ?? DEFAULT_APP}
            onChange={(event) => change({ ...destination, app: event.target.value })}
          >
            {APPS.map((app) => (
              <option key={app.id} value={app.id}>
                {app.name}
              </option>
            ))}
          </select>
        </label>
      )}
    </>
  );
}

function Line({ word, children }: { word: string; children: ReactNode }) {
  return (
    <div className="flex flex-wrap items-center gap-2">
      <span className="w-20 flex-none text-lg font-semibold max-sm:w-full">{word}</span>
      {children}
    </div>
  );
}

function Another({ says, add }: { says: string; add: () => void }) {
  return (
    <button type="button" className="button" onClick={add}>
      <Plus size={16} aria-hidden /> {says}
    </button>
  );
}

/** By which sockets and plugs a source gives its sound. */
function Offers({ part }: { part: Part | undefined }) {
  if (!part) return null;
  // A port for numbers gives some where a sound device is behind it, or a host that plays.
  const isSound = ({ id, connector }: PartPort) =>
    !isDigitalConnector(connector) ||
    part.bus?.port === id ||
    (part.host?.busPorts ?? []).some((one) => one.port === id);
  const ends = part.ports.filter(
    (port) => port.direction === 'out' || (port.direction === 'both' && isSound(port)),
  );
  const said = ends.map(
    ({ connector, gender }) => `${connectorName(connector)} ${gender === 'plug' ? 'plug' : 'socket'}`,
  );
  return (
    <span className="text-soft flex flex-wrap items-center gap-1.5 text-sm">
      {part.host ? 'plays by' : 'gives'} {[...new Set(said)].join(', ')}
    </span>
  );
}

/** Only the last of several recorders can be wanted for so much more at the most. */
const wanted = ({ under: _under, ...destination }: RequestDestination): RequestDestination => destination;

/** Boxes with stages of their own into which something goes: a mixer, an interface. */
const couldStandBetween = (part: Part): boolean =>
  !part.host &&
  (part.paths ?? []).length > 0 &&
  part.ports.some((port) => port.direction === 'in') &&
  part.ports.length > 2;

/** The question as a sentence with gaps: what is recorded, by what, and through which mixer. */
export function RequestForm({ question, change, parts, currency }: RequestFormProps) {
  const sources = parts.filter((part) => isSource(part) || playsBack(part));
  const boxes = parts.filter(couldStandBetween);
  const { sources: from, destinations: to, through } = question;
  const setSource = (index: number, source: RequestSource) =>
    change({ ...question, sources: replaced(from, index, source) });
  const setDestination = (index: number, destination: RequestDestination) =>
    change({ ...question, destinations: replaced(to, index, destination) });
  const rows = <T,>(list: readonly T[]): (T | undefined)[] => (list.length > 0 ? [...list] : [undefined]);
  const [first] = sources;
  const [host] = parts.filter((part) => part.host);
  return (
    <div className="space-y-3">
      {rows(from).map((source, index) => (
        <Line key={index} word={index === 0 ? 'Record' : 'and'}>
          <PartChoice
            title="What is to be recorded?"
            parts={sources}
            chosen={source?.part}
            empty="a microphone, pack or instrument"
            choose={(part) => setSource(index, { part })}
          />
          <Offers part={sources.find((part) => part.id === source?.part)} />
          {from.length > 1 && (
            <Remove
              what={`source ${index + 1}`}
              remove={() => change({ ...question, sources: removed(from, index) })}
            />
          )}
          {index === from.length - 1 && from.length < 8 && first && (
            <Another
              says="Another source"
              add={() => setSource(from.length, { part: source?.part ?? first.id })}
            />
          )}
          {source && (
            <UnusablePorts
              part={parts.find((part) => part.id === source.part)}
              unusable={source.unusable}
              change={(unusable) => setSource(index, { ...source, unusable })}
            />
          )}
        </Line>
      ))}
      <Line word="through">
        <label className="sr-only" htmlFor="through">
          Through a mixer or interface that is there already
        </label>
        <select
          id="through"
          className="field max-w-full"
          value={through ?? ''}
          onChange={(event) => {
            const { through: _old, throughUnusable: _ports, throughPlace: _place, ...rest } = question;
            change(event.target.value ? { ...rest, through: event.target.value } : rest);
          }}
        >
          <option value="">whatever is best</option>
          {boxes.map((part) => (
            <option key={part.id} value={part.id}>
              {part.name}, which I have there
            </option>
          ))}
        </select>
        {through !== undefined && (
          <UnusablePorts
            part={parts.find((part) => part.id === through)}
            unusable={question.throughUnusable}
            change={(throughUnusable) => change({ ...question, throughUnusable })}
          />
        )}
      </Line>
      {rows(to).map((destination, index) => (
        <Line key={index} word={index === 0 ? 'on' : 'and on'}>
          <DestinationChoice
            title="What records it?"
            parts={parts}
            destination={destination}
            change={(next) => setDestination(index, next)}
          />
          {to.length > 1 && (
            <Remove
              what={`recorder ${index + 1}`}
              remove={() => change({ ...question, destinations: removed(to, index) })}
            />
          )}
          {index === to.length - 1 && (
            <div className={index > 0 ? 'flex basis-full flex-wrap items-center gap-2 sm:pl-[5.5rem]' : ''}>
              {destination && index > 0 && (
                <OnlyUnder
                  currency={currency}
                  under={destination.under}
                  set={(under) =>
                    setDestination(index, { ...wanted(destination), ...(under !== undefined && { under }) })
                  }
                />
              )}
              {to.length < 4 && host && (
                <Another
                  says="At once on another"
                  add={() => change({ ...question, destinations: [...to.map(wanted), { part: host.id }] })}
                />
              )}
            </div>
          )}
          {destination && (
            <UnusablePorts
              part={parts.find((part) => part.id === destination.part)}
              unusable={destination.unusable}
              change={(unusable) => setDestination(index, { ...destination, unusable })}
            />
          )}
        </Line>
      ))}
      <Line word="beside">
        <CarriedAlong
          parts={parts}
          carried={question.carried}
          change={(carried) => change({ ...question, carried })}
        />
      </Line>
    </div>
  );
}
