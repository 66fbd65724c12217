'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { GuideStep } from '../../core/words/guide';
import { recordTake, stepAt, type AskedTake } from './record-take';
import { sayNoRecording, type Recording } from './recorder';

export interface RecordingState {
  readonly recording: Recording;
  readonly peaks: readonly number[];
  readonly held: readonly number[];
  readonly seconds: number;
  readonly steps: readonly GuideStep[];
  /** Of a guided take, the step that is asked for now, and how long it lasts yet. */
  readonly step?: number;
  readonly left: number;
}

/** The recording that runs on this page, if one does; leaving the view ends it and keeps it. */
export function useRecording(done: (take: string) => void, trouble: (says: string) => void) {
  const [state, setState] = useState<RecordingState>();
  const running = useRef<(() => Promise<void>) | undefined>(undefined);
  const start = useCallback(
    async (asked: AskedTake) => {
      const change = (with_: (before: RecordingState) => Partial<RecordingState>) =>
        setState((before) => before && { ...before, ...with_(before) });
      try {
        const { recording, stop } = await recordTake(asked, {
          trouble,
          peaks: (peaks) =>
            change(({ held }) => ({ peaks, held: peaks.map((v, i) => Math.max(v, held[i] ?? 0)) })),
          progress: (seconds) => change(({ steps }) => ({ seconds, ...stepAt(steps, seconds) })),
          ended(take) {
            running.current = undefined;
            setState(undefined);
            if (take !== undefined) done(take);
          },
        });
        running.current = stop;
        const none = Array.from({ length: recording.channels }, () => 0);
        setState({
          recording,
          peaks: none,
          held: none,
          seconds: 0,
          steps: asked.steps,
          ...stepAt(asked.steps, 0),
        });
      } catch (error) {
        trouble(sayNoRecording(error));
      }
    },
    [done, trouble],
  );
  useEffect(() => () => void running.current?.(), []);
  const stop = useCallback(() => void running.current?.(), []);
  return { state, start, stop };
}
