import { useCallback, useEffect, useRef, useState } from 'react';
import type { NowView } from '@wrenfern/core/live/run-class';

const KEY = 'wrenfern-chime';

/** A soft tone over a room: hertz, seconds, and how loud at most. */
const TONE = { hertz: 528, seconds: 1.6, loudness: 0.18 } as const;

export interface Chime {
  isOn: boolean;
  toggle: () => void;
}

/** A soft tone when the clock has decided: a hold is over, a timed set, its change. Silent until it is asked for. */
export function useChime(now: NowView | undefined): Chime {
  const [isOn, setOn] = useState(() => localStorage.getItem(KEY) === 'on');
  const audio = useRef<AudioContext>(undefined);
  const ring = useCallback(() => {
    audio.current ??= new AudioContext();
    playTone(audio.current);
  }, []);
  const toggle = () => {
    localStorage.setItem(KEY, isOn ? 'off' : 'on');
    setOn(!isOn);
    // A browser lets a page sound from the first press on; and one hears what one has asked for.
    if (!isOn) ring();
  };
  const before = useRef<Clocked>(undefined);
  useEffect(() => {
    const clocked = now && clockedIn(now);
    if (isOn && before.current && isOver(before.current, now)) ring();
    before.current = clocked;
  }, [now, isOn, ring]);
  return { isOn, toggle };
}

/** A part that the clock decides and that is still running. */
interface Clocked {
  itemId: string;
  /** Of the part, since its item began. */
  startS: number;
}

function clockedIn({ item, part, partLeftS }: NowView): Clocked | undefined {
  const isByClock = part?.varies === 'clock' && (part.kind === 'work' || part.kind === 'rest');
  if (!isByClock || partLeftS <= 0) return undefined;
  return { itemId: item.itemId, startS: part.startS - item.startS };
}

/** Over by itself: whoever goes on to another item needs no tone. */
function isOver({ itemId, startS }: Clocked, now: NowView | undefined): boolean {
  if (!now?.part || now.item.itemId !== itemId) return false;
  return now.part.startS - now.item.startS !== startS || now.partLeftS <= 0;
}

function playTone(audio: AudioContext): void {
  const [tone, volume] = [audio.createOscillator(), audio.createGain()];
  const end = audio.currentTime + TONE.seconds;
  tone.frequency.value = TONE.hertz;
  volume.gain.setValueAtTime(TONE.loudness, audio.currentTime);
  volume.gain.exponentialRampToValueAtTime(0.001, end);
  tone.connect(volume).connect(audio.destination);
  tone.start();
  tone.stop(end);
}
