import { toast } from 'sonner';
import { registerSW } from 'virtual:pwa-register';

/** Somebody who has just come loses nothing by coming again. */
const JUST_COME_MS = 4_000;
/** How often a page that stays open looks for a new version. */
const LOOK_MS = 60 * 60_000;

let isKept = false;

/**
 * Keeps the app itself on this device, so that it opens without a line. A new version is taken when somebody has just come,
 * or by a press; never by itself while a class is taught.
 */
export function keepOffline(): void {
  if (isKept || !import.meta.env.PROD) return;
  isKept = true;
  const openedMs = Date.now();
  const take = registerSW({
    onNeedRefresh() {
      const isTaught = /\/(teach|rehearse)$/.test(window.location.pathname);
      if (!isTaught && Date.now() - openedMs < JUST_COME_MS) void take(true);
      else if (!isTaught) tell(() => void take(true));
    },
    onRegisteredSW(_url, registration) {
      setInterval(() => void registration?.update(), LOOK_MS);
    },
  });
}

function tell(take: () => void): void {
  toast('A new version of Wrenfern is here.', {
    id: 'new-version',
    duration: Infinity,
    action: { label: 'Take it', onClick: take },
  });
}
