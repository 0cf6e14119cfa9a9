import { useEffect, useRef, useState } from 'react';

/** How often the screen moves on; at 30 times a second of the class is then a tick and a half. */
const TICK_MS = 50;

export interface Playing {
  atS: number;
  isPlaying: boolean;
  speed: number;
  play: () => void;
  pause: () => void;
  go: (toS: number) => void;
  setSpeed: (speed: number) => void;
}

/**
 * A clock that runs at a speed from 0 to the end of a class. `haltAt` says where it stops by itself on the way from one
 * second to another.
 */
export function usePlaying(
  totalS: number,
  haltAt: (fromS: number, toS: number) => number | undefined,
): Playing {
  const [atS, setAtS] = useState(0);
  const [isPlaying, setPlaying] = useState(false);
  const [speed, setSpeed] = useState(5);
  const halt = useRef(haltAt);
  useEffect(() => {
    halt.current = haltAt;
  }, [haltAt]);
  const now = useRef(atS);
  useEffect(() => {
    now.current = atS;
  }, [atS]);
  useEffect(() => {
    if (!isPlaying) return undefined;
    let lastMs = performance.now();
    const tick = setInterval(() => {
      const nowMs = performance.now();
      const toS = Math.min(totalS, now.current + ((nowMs - lastMs) / 1000) * speed);
      lastMs = nowMs;
      const stopS = halt.current(now.current, toS);
      now.current = stopS ?? toS;
      setAtS(now.current);
      if (stopS === undefined && now.current < totalS) return;
      clearInterval(tick);
      setPlaying(false);
    }, TICK_MS);
    return () => clearInterval(tick);
  }, [isPlaying, speed, totalS]);
  return {
    atS,
    isPlaying,
    speed,
    play: () => {
      if (atS >= totalS) setAtS(0);
      setPlaying(true);
    },
    pause: () => setPlaying(false),
    go: (toS) => setAtS(Math.max(0, Math.min(totalS, toS))),
    setSpeed,
  };
}
