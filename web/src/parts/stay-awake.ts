import { useEffect } from 'react';

/** Keeps a screen from dimming, where the browser can. */
export function useStayAwake(active: boolean) {
  useEffect(() => {
    if (!active || !('wakeLock' in navigator)) return;
    const lock = navigator.wakeLock.request('screen').catch(() => undefined); // Refused on low battery.
    return () => void lock.then((held) => held?.release());
  }, [active]);
}
