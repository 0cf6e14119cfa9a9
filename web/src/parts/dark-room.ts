import { useEffect } from 'react';

/** Dark in any theme while it is shown: a room is taught in low light, at arm's length. */
export function useDarkRoom(): void {
  useEffect(() => {
    const { classList } = document.documentElement;
    const wasDark = classList.contains('dark');
    classList.add('dark');
    return () => {
      if (!wasDark) classList.remove('dark');
    };
  }, []);
}
