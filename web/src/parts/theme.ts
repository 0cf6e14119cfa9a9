import { useSyncExternalStore } from 'react';

const KEY = 'wrenfern-theme';

function isDark(): boolean {
  return document.documentElement.classList.contains('dark');
}

function subscribe(changed: () => void): () => void {
  const observer = new MutationObserver(changed);
  observer.observe(document.documentElement, { attributes: true, attributeFilter: ['class'] });
  return () => observer.disconnect();
}

/** Whether the dark theme is on, and a switch that is remembered on this device. */
export function useTheme(): { dark: boolean; toggle: () => void } {
  const dark = useSyncExternalStore(subscribe, isDark);
  const toggle = () => {
    document.documentElement.classList.toggle('dark', !dark);
    localStorage.setItem(KEY, dark ? 'light' : 'dark');
  };
  return { dark, toggle };
}
