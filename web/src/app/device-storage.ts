/** What stands on this device belongs to whoever is signed in, but for how the screen looks. */
const OURS = 'wrenfern-';
const LOOKS = new Set(['wrenfern-theme']);

const UNSAVED = /^wrenfern-(draft-|live-|aside-|exercise-draft )/;

type Keys = Pick<Storage, 'length' | 'key' | 'removeItem'>;

function keysOf(storage: Keys): string[] {
  return Array.from({ length: storage.length }, (_, index) => storage.key(index)).filter(
    (key): key is string => key !== null && key.startsWith(OURS),
  );
}

/** How many things on this device have not reached the server. */
export function countUnsaved(storage: Keys): number {
  return keysOf(storage).filter((key) => UNSAVED.test(key)).length;
}

/** Clears the device for whoever signs in next. */
export function clearDevice(storage: Keys): void {
  for (const key of keysOf(storage)) if (!LOOKS.has(key)) storage.removeItem(key);
}
