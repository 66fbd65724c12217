interface FigureRowProps {
  readonly id: string;
  readonly name: string;
  readonly text: string;
  /** What is wrong with what was typed. */
  readonly trouble: string | undefined;
  readonly type: (text: string) => void;
}

/** A figure that is typed in any unit that means the same, with its name, and what is wrong with it. */
export function FigureRow({ id, name, text, trouble, type }: FigureRowProps) {
  return (
    <div className="grid gap-x-3 sm:grid-cols-[1fr_11rem] sm:items-center">
      <label htmlFor={id}>{name}</label>
      <input
        id={id}
        className="field w-full font-mono text-sm"
        value={text}
        aria-invalid={trouble !== undefined}
        aria-describedby={trouble ? `${id}-trouble` : undefined}
        onChange={(event) => type(event.target.value)}
      />
      {trouble && (
        <p id={`${id}-trouble`} role="alert" className="text-vermilion text-sm sm:col-span-2">
          {trouble}
        </p>
      )}
    </div>
  );
}
