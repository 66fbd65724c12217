/** "lead brings", in two lines at the left of a row of letters. */
export function RowLabel({ text, y }: { text: readonly [string, string]; y: number }) {
  return (
    <text fontSize={16} fill="var(--ink-soft)">
      <tspan x={2} y={y - 3}>
        {text[0]}
      </tspan>
      <tspan x={2} y={y + 15}>
        {text[1]}
      </tspan>
    </text>
  );
}
