'use client';
import { ChevronRight, OctagonX, TriangleAlert } from 'lucide-react';
import type { Finding } from '../../core/checks';
import type { Analysis } from '../../core/judge';
import { nameOf, rungReading, sayBracket } from '../../core/words';
import { partOf, type Rig } from '../../core/rig';
import { PartIcon } from './part-icon';

interface FoldedRungProps {
  readonly rig: Rig;
  readonly analysis: Analysis;
  readonly placed: string;
  /** What hangs off the chain for: supply, monitoring. */
  readonly lane: string | undefined;
  readonly finding: Finding | undefined;
  readonly open: () => void;
}

/** The worst of what is found at a rung, in three or four words. */
function Worst({ rig, finding }: { rig: Rig; finding: Finding }) {
  const spoils = finding.severity === 'spoils';
  const Icon = spoils ? TriangleAlert : OctagonX;
  const style = finding.severity === 'note' ? 'text-soft' : spoils ? 'text-brass' : 'text-vermilion';
  return (
    <span className={`flex min-w-0 items-center gap-1 font-semibold ${style}`}>
      {finding.severity !== 'note' && <Icon size={16} aria-hidden className="flex-none" />}
      <span className="truncate">{sayBracket(rig, finding)}</span>
    </span>
  );
}

/** A rung in one line: its name, what is measured on it, what is wrong there. Pressed, it opens. */
export function FoldedRung({ rig, analysis, placed, lane, finding, open }: FoldedRungProps) {
  const part = partOf(rig, placed);
  if (!part) return null;
  const reading = rungReading(rig, analysis, placed);
  return (
    <button
      type="button"
      aria-expanded={false}
      data-folded
      onClick={open}
      className="border-line bg-card hover:bg-panel grid min-h-10 w-full grid-cols-[auto_minmax(0,1fr)_auto] items-center gap-x-2.5 rounded-lg border px-2.5 py-0.5 text-left pointer-coarse:min-h-11"
    >
      <PartIcon family={part.family} size={20} />
      <span className="min-w-0 leading-tight">
        <span className="flex min-w-0 flex-wrap items-baseline gap-x-2">
          {lane && <span className="text-soft text-sm">{lane}</span>}
          <span className="line-clamp-2 font-bold sm:truncate">{nameOf(rig, placed)}</span>
          {finding && <Worst rig={rig} finding={finding} />}
        </span>
      </span>
      <span className="flex items-center gap-1.5 font-mono text-xs whitespace-nowrap">
        {reading?.main}
        <ChevronRight size={16} aria-hidden className="text-soft flex-none" />
      </span>
    </button>
  );
}
