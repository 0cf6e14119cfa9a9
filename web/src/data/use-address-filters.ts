import { useEffect, useRef } from 'react';
import { useSearchParams } from 'react-router';

/**
 * What narrows a screen, in its address. Two choices in quick succession both stand: the router's own setter builds
 * on the address as it was last drawn, so what is not drawn yet is added to each change until it is.
 */
export function useAddressFilters() {
  const [search, setSearch] = useSearchParams();
  const pending = useRef(new Map<string, string>());
  useEffect(() => {
    for (const [key, value] of pending.current) {
      if ((search.get(key) ?? '') === value) pending.current.delete(key);
    }
  }, [search]);
  const set = (changes: Readonly<Record<string, string>>) => {
    for (const [key, value] of Object.entries(changes)) pending.current.set(key, value);
    const next = new URLSearchParams(search);
    for (const [key, value] of pending.current) {
      if (value) next.set(key, value);
      else next.delete(key);
    }
    setSearch(next, { replace: true });
  };
  const clear = () => {
    pending.current.clear();
    setSearch({}, { replace: true });
  };
  return { search, set, clear };
}
