import { clsx } from 'clsx';
import { CircleUser, LogOut } from 'lucide-react';
import { lazy, Suspense, useEffect, useState, useSyncExternalStore } from 'react';
import { NavLink, Navigate, Outlet, useLocation, useNavigate } from 'react-router';
import { useSWRConfig } from 'swr';
import { useSession } from '../data/use-session.ts';
import type { Role } from '@wrenfern/contract/account';
import { RequestProblem, send, sentenceOf } from '../data/request.ts';
import { useQuestion } from '../data/save-merged.ts';
import { Button } from '../parts/button.tsx';
import { ClashesDialog, tellClash } from '../parts/clashes.tsx';
import { Sheet } from '../parts/dialog.tsx';
import { IconButton } from '../parts/icon-button.tsx';
import { Failed, Loading } from '../parts/states.tsx';
import { toast } from 'sonner';
import { forgetDay } from '../data/day-cache.ts';
import { clearDevice, countUnsaved } from './device-storage.ts';
import { Brand } from './brand.tsx';
import { ThemeButton } from '../parts/theme-button.tsx';
import { KeysHelp } from '../parts/keys-help.tsx';
import { isTyping } from '../parts/typing.ts';

/** Fetched when it is first asked for. */
const CommandPalette = lazy(async () => ({
  default: (await import('./command-palette.tsx')).CommandPalette,
}));

const PLACES = [
  { to: '/', name: 'Today', key: 't' },
  { to: '/classes', name: 'Classes', key: 'c' },
  { to: '/people', name: 'People', key: 'p', who: ['owner', 'instructor'] },
  { to: '/library', name: 'Library', key: 'l' },
  { to: '/studio', name: 'Studio', key: 's' },
] satisfies { to: string; name: string; key: string; who?: Role[] }[] as readonly {
  to: string;
  name: string;
  key: string;
  who?: Role[];
}[];

const SHELL_KEYS = [
  ...PLACES.map(({ name, key }) => ({ keys: `g ${key}`, does: `Go to ${name}` })),
  { keys: 'Ctrl K', does: 'Go to any screen, class or exercise' },
  { keys: '?', does: 'Show the keys' },
];

/** Sends strangers to the door and brings them back afterwards. */
export function RequireSession({ children }: { children: React.ReactNode }) {
  const session = useSession();
  const location = useLocation();
  if (session.error instanceof RequestProblem && session.error.code === 'not-signed-in') {
    const back = location.pathname === '/' ? '' : `?to=${encodeURIComponent(location.pathname)}`;
    return <Navigate to={`/sign-in${back}`} replace />;
  }
  if (session.error && !session.data) {
    return <Failed error={session.error} retry={() => void session.mutate()} />;
  }
  if (!session.data) return <Loading what="the studio" />;
  // Until it is set up, the server shows nothing else.
  if (session.data.user.lacksSecondFactor && location.pathname !== '/account') {
    return <Navigate to="/account" replace />;
  }
  return (
    <>
      <KeptOffline />
      {children}
      <PaletteOnKey />
      <AskedQuestion />
    </>
  );
}

/** The app stays on the device of whoever is signed in; without a line it says so. */
function KeptOffline() {
  const isOnline = useSyncExternalStore(
    (changed) => {
      window.addEventListener('online', changed);
      window.addEventListener('offline', changed);
      return () => {
        window.removeEventListener('online', changed);
        window.removeEventListener('offline', changed);
      };
    },
    () => navigator.onLine,
  );
  useEffect(() => {
    if (!import.meta.env.PROD) return;
    void import('./keep-offline.ts').then(({ keepOffline }) => keepOffline());
  }, []);
  if (isOnline) return null;
  return (
    <p
      role="status"
      className="fixed right-3 bottom-3 z-40 rounded-xl bg-copper-soft px-4 py-2 text-copper shadow-lg print:hidden"
    >
      No line. Today’s classes open and can be taught from this device.
    </p>
  );
}

/** Ctrl or Cmd K opens and closes the palette. */
function PaletteOnKey() {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== 'k' || !(event.ctrlKey || event.metaKey)) return;
      event.preventDefault();
      setOpen((before) => !before);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return open ? (
    <Suspense fallback={null}>
      <CommandPalette close={() => setOpen(false)} />
    </Suspense>
  ) : null;
}

/** The frame round the studio's own screens. */
export function Shell() {
  return (
    <RequireSession>
      <a
        href="#main"
        className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:m-2 focus:rounded-lg focus:bg-leaf focus:p-2"
      >
        Skip to the page
      </a>
      <Header />
      <main id="main" tabIndex={-1} className="mx-auto w-full max-w-[80rem] px-4 pb-16 sm:px-6">
        <Outlet />
      </main>
      <KeysHelp keys={SHELL_KEYS} />
    </RequireSession>
  );
}

function Header() {
  const session = useSession();
  const role = session.data?.user.role;
  useGoKeys();
  return (
    <header className="sticky top-0 z-30 border-b border-line bg-leaf print:hidden">
      <div className="mx-auto flex h-14 max-w-[80rem] items-center gap-1 px-3 sm:gap-4 sm:px-6">
        {/* A phone has room for the places, not for the name of the house as well. */}
        <span className="max-sm:hidden">
          <Brand />
        </span>
        <nav aria-label="Studio" className="flex gap-0.5 sm:gap-1">
          {PLACES.filter(({ who }) => !who || (role && who.includes(role))).map(({ to, name }) => (
            <NavLink
              key={to}
              to={to}
              end={to === '/'}
              className={({ isActive }) =>
                clsx(
                  'rounded-lg px-1.5 py-1.5 sm:px-3',
                  isActive ? 'bg-mist font-semibold text-fern' : 'text-ink hover:bg-mist',
                )
              }
            >
              {name}
            </NavLink>
          ))}
        </nav>
        <div className="ml-auto flex items-center gap-1">
          <span className="hidden text-soft lg:inline">{session.data?.studio.name} ·</span>
          <NavLink
            to="/account"
            className="mr-1 hidden rounded-lg px-1.5 py-1 text-soft hover:bg-mist md:inline"
          >
            {session.data?.user.name}
          </NavLink>
          <NavLink
            to="/account"
            aria-label="Your account"
            className="grid size-8 place-items-center rounded-lg hover:bg-mist md:hidden"
          >
            <CircleUser size={18} aria-hidden />
          </NavLink>
          {/* A phone has no room for it here: it stands on the account's page there. */}
          <div className="max-sm:hidden">
            <ThemeButton />
          </div>
          <SignOut />
        </div>
      </div>
    </header>
  );
}

/** Whose change is kept, where two changed the same and somebody has to decide. */
function AskedQuestion() {
  const asked = useQuestion((state) => state.asked);
  if (!asked) return null;
  return (
    <ClashesDialog
      what={asked.what}
      clashes={asked.clashes.map(tellClash)}
      choose={(keep) => asked.answer(keep)}
    />
  );
}

function SignOut() {
  const { mutate } = useSWRConfig();
  const navigate = useNavigate();
  const [busy, setBusy] = useState(false);
  const [unsaved, setUnsaved] = useState(0);
  const signOut = async () => {
    setBusy(true);
    try {
      await send('DELETE', '/session');
      // Another studio may sign in on this device: nothing of this one stays behind.
      clearDevice(localStorage);
      await forgetDay();
      await mutate(() => true, undefined, { revalidate: false });
      await navigate('/sign-in');
    } catch (error) {
      toast.error(sentenceOf(error));
    } finally {
      setBusy(false);
    }
  };
  const ask = () => {
    const left = countUnsaved(localStorage);
    if (left > 0) setUnsaved(left);
    else void signOut();
  };
  return (
    <>
      <IconButton label="Sign out" onClick={() => (busy ? undefined : ask())}>
        <LogOut size={18} aria-hidden />
      </IconButton>
      <Sheet
        title="Sign out and lose what is only here?"
        open={unsaved > 0}
        onOpenChange={() => setUnsaved(0)}
      >
        <p className="mb-4">
          {unsaved === 1 ? 'One thing' : `${unsaved} things`} on this device{' '}
          {unsaved === 1 ? 'has' : 'have'} not reached the server. Stay until there is a line;
          signing out clears the device.
        </p>
        <div className="flex gap-2">
          <Button look="main" onClick={() => setUnsaved(0)}>
            Stay
          </Button>
          <Button look="warn" disabled={busy} onClick={() => void signOut()}>
            Sign out and lose it
          </Button>
        </div>
      </Sheet>
    </>
  );
}

/** g, then a letter, goes to a screen. */
function useGoKeys() {
  const navigate = useNavigate();
  useEffect(() => {
    let waitsForLetter = false;
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
      const place = PLACES.find(({ key }) => key === event.key);
      if (waitsForLetter && place) void navigate(place.to);
      waitsForLetter = event.key === 'g';
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [navigate]);
}
