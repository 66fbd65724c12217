'use client';
import { useCallback, useState, type RefObject } from 'react';
import type { Range } from './listen-range';

/** A mark is heard from this much before it to this much after, seconds. */
const [BEFORE, AFTER] = [0.5, 1.5];
/** The browser tells the time four times a second: a stretch is begun again when its end is this near. */
const NEAR = 0.02;

function playFrom(sound: HTMLAudioElement | null, at: number): void {
  if (!sound) return;
  sound.currentTime = Math.max(0, at);
  void sound.play();
}

/** What of a take is heard: where it stands, and of what stretch, once or round and round. */
export function useListening(audio: RefObject<HTMLAudioElement | null>, seconds: number) {
  const [now, setNow] = useState(0);
  const [range, setRange] = useState<Range>([0, seconds]);
  const [looping, setLooping] = useState(false);
  const play = useCallback((at: number) => playFrom(audio.current, at), [audio]);
  const loop = (on: boolean) => {
    setLooping(on);
    if (on) play(range[0]);
    else audio.current?.pause();
  };
  const atMark = (at: number) => {
    setRange([Math.max(0, at - BEFORE), Math.min(seconds, at + AFTER)]);
    play(at - BEFORE);
  };
  const passed = (at: number) => {
    setNow(at);
    const over = at >= range[1] - NEAR || at < range[0] - 1;
    if (looping && over && audio.current?.paused === false) play(range[0]);
  };
  return { now, range, setRange, looping, loop, play, atMark, passed };
}
