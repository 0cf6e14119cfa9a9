/** Answers about the day and its classes, kept on this device for when there is no line. */
export const DAY_CACHE = 'wrenfern-day';

/** Nothing of a studio stays where somebody signed out, or may not come in any more. */
export async function forgetDay(): Promise<void> {
  // Without a secure page there is no such store, and nothing in it.
  if ('caches' in globalThis) await caches.delete(DAY_CACHE);
}
