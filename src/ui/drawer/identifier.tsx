'use client';
import { X } from 'lucide-react';
import { useState } from 'react';
import { answersTo, type Part } from '../../core/parts';
import { identify, sayEnd, sayQuestion, type Answer, type SeenEnd } from '../../core/parts/identify';
import { isPhoneConnector } from '../../core/plugs';
import { PlugGlyph } from '../shared/plug-glyph';
import { Sheet } from '../shared/sheet';
import { PartIcon } from '../bench/part-icon';

interface IdentifierProps {
  readonly parts: readonly Part[];
  readonly choose: (part: Part) => void;
  readonly close: () => void;
}

/** Ends that are met most, to be tapped as they look. */
const ENDS: readonly SeenEnd[] = [
  ...(['ts-3.5', 'trs-3.5', 'trrs-3.5', 'ts-6.35', 'trs-6.35'] as const).map(
    (connector) => ({ connector, gender: 'plug' }) as const,
  ),
  ...(['trs-3.5', 'trrs-3.5', 'ts-6.35', 'trs-6.35'] as const).map(
    (connector) => ({ connector, gender: 'jack' }) as const,
  ),
  { connector: 'xlr-3', gender: 'plug' },
  { connector: 'xlr-3', gender: 'jack' },
  ...(['usb-a', 'usb-b', 'usb-c', 'usb-micro', '8-pin', 'rca'] as const).flatMap((connector) => [
    { connector, gender: 'plug' } as const,
    { connector, gender: 'jack' } as const,
  ]),
];

const SHOWN = 5;

/** What is this thing? Its ends are tapped, its bands counted; then it says what to look at next. */
export function Identifier({ parts, choose, close }: IdentifierProps) {
  const [seen, setSeen] = useState<readonly SeenEnd[]>([]);
  const [answered, setAnswered] = useState<readonly Answer[]>([]);
  const [words, setWords] = useState('');
  const { candidates, next } = identify(
    parts.filter((part) => answersTo(part, words)),
    seen,
    answered,
  );
  const begun = seen.length > 0 || words.trim() !== '';
  const answer = (yes: boolean) => next && setAnswered([...answered, { question: next, yes }]);
  return (
    <Sheet title="What is this thing?" open onOpenChange={(open) => !open && close()}>
      <div className="min-h-0 space-y-3 overflow-y-auto p-1">
        <label className="grid gap-1">
          In words, if you like
          <input
            autoFocus
            className="field"
            value={words}
            placeholder="lead: two bands one end, three the other"
            onChange={(event) => setWords(event.target.value)}
          />
        </label>
        {seen.length > 0 && (
          <p className="flex flex-wrap items-center gap-2">
            Seen:
            {seen.map((end, index) => (
              <button
                key={index}
                type="button"
                className="button"
                aria-label={`Not a ${sayEnd(end)} after all`}
                onClick={() => setSeen(seen.filter((_, n) => n !== index))}
              >
                {sayEnd(end)} <X size={14} aria-hidden />
              </button>
            ))}
          </p>
        )}
        {answered.length > 0 && (
          <p className="text-soft text-sm">
            {answered.map(({ question, yes }) => `${sayQuestion(question)} ${yes ? 'Yes' : 'No'}.`).join(' ')}{' '}
            <button type="button" className="button" onClick={() => setAnswered(answered.slice(0, -1))}>
              Take the last answer back
            </button>
          </p>
        )}
        {begun && next && candidates.length > 1 && (
          <div
            className="bg-card border-l-4 border-[var(--sea)] p-3"
            role="group"
            aria-label="Look at this next"
          >
            <p className="text-lg font-bold">{sayQuestion(next)}</p>
            <p className="mt-2 flex gap-2">
              <button type="button" className="button min-h-11 px-6" onClick={() => answer(true)}>
                Yes
              </button>
              <button type="button" className="button min-h-11 px-6" onClick={() => answer(false)}>
                No
              </button>
            </p>
          </div>
        )}
        {begun && (
          <section aria-label="It may be">
            <h3 className="font-semibold">
              {candidates.length === 0
                ? 'Nothing in the catalogue is like that.'
                : candidates.length === 1
                  ? 'It is this:'
                  : `It may be one of ${candidates.length}:`}
            </h3>
            <ul>
              {candidates.slice(0, SHOWN).map((part) => (
                <li key={part.id}>
                  <button
                    type="button"
                    className="option hover:bg-card flex w-full items-start gap-3 text-left"
                    onClick={() => choose(part)}
                  >
                    <PartIcon family={part.family} />
                    <span>
                      <span className="block font-semibold">{part.name}</span>
                      <span className="text-soft block text-[0.9375rem] leading-snug">{part.summary}</span>
                    </span>
                  </button>
                </li>
              ))}
            </ul>
          </section>
        )}
        <fieldset>
          <legend className="font-semibold">
            {begun ? 'And what else do you see on it?' : 'Tap every plug and socket that you see on it'}
          </legend>
          <div className="mt-2 flex flex-wrap gap-2">
            {ENDS.map((end) => (
              <button
                key={`${end.connector} ${end.gender}`}
                type="button"
                className="button h-auto min-h-11 flex-col gap-1 py-1.5 whitespace-normal"
                onClick={() => setSeen([...seen, end])}
              >
                {end.gender === 'plug' && isPhoneConnector(end.connector) && (
                  <PlugGlyph connector={end.connector} />
                )}
                <span className="text-sm">{sayEnd(end)}</span>
              </button>
            ))}
          </div>
        </fieldset>
      </div>
    </Sheet>
  );
}
