/** So many classes a day are asked for ahead, and no further than this. */
const MOST = 8;
const AHEAD_MS = 24 * 60 * 60_000;

/**
 * Asks for the classes of the day while there is a line, so that they open and run without one. What can't be asked for
 * now is asked for when the day is next looked at.
 */
export async function keepDay(
  classes: readonly { id: string; startsAt: string }[],
  todayPath: string,
): Promise<void> {
  if (!('serviceWorker' in navigator) || !(await isKept())) return;
  const untilMs = Date.now() + AHEAD_MS;
  const soon = classes.filter(({ startsAt }) => Date.parse(startsAt) < untilMs).slice(0, MOST);
  const paths = soon.flatMap(({ id }) => [`/classes/${id}`, `/classes/${id}/events`]);
  for (const path of ['/session', '/exercises', todayPath, ...paths]) {
    const response = await fetch(`/api${path}`).catch(() => undefined);
    if (!response?.ok) return;
  }
}

/** Whether this page is served by what keeps answers; the very first visit waits for it. */
async function isKept(): Promise<boolean> {
  const { serviceWorker } = navigator;
  const known = await serviceWorker.getRegistration();
  if (!known) return false;
  if (serviceWorker.controller) return true;
  return new Promise((resolve) => {
    serviceWorker.addEventListener('controllerchange', () => resolve(true), { once: true });
  });
}
