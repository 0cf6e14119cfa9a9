import { clsx } from 'clsx';
import { LogOut, Moon, Sun } from 'lucide-react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { NavLink, Navigate, Outlet, useLocation, useNavigate } from 'react-router';
import { useSWRConfig } from 'swr';
import { useSession } from '../data/hooks.ts';
import { request, RequestProblem, sentenceOf } from '../data/request.ts';
import { IconButton } from '../parts/icon-button.tsx';
import { Failed, Loading } from '../parts/states.tsx';
import { toast } from 'sonner';
import { Brand } from './brand.tsx';
import { KeysHelp } from './keys-help.tsx';
import { useTheme } from './theme.ts';
import { isTyping } from './typing.ts';

/** Fetched when it is first asked for. */
const CommandPalette = lazy(async () => ({
  default: (await import('./command-palette.tsx')).CommandPalette,
}));

const PLACES = [
  { to: '/', name: 'Today', key: 't' },
  { to: '/people', name: 'People', key: 'p' },
  { to: '/library', name: 'Library', key: 'l' },
  { to: '/studio', name: 'Studio', key: 's' },
] as const;

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
  return (
    <>
      {children}
      <PaletteOnKey />
    </>
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
  const { dark, toggle } = useTheme();
  useGoKeys();
  return (
    <header className="sticky top-0 z-30 border-b border-line bg-leaf print:hidden">
      <div className="mx-auto flex h-14 max-w-[80rem] items-center gap-1 px-3 sm:gap-4 sm:px-6">
        <Brand />
        <nav aria-label="Studio" className="flex gap-0.5 sm:gap-1">
          {PLACES.map(({ to, name }) => (
            <NavLink
              key={to}
              to={to}
              end={to === '/'}
              className={({ isActive }) =>
                clsx(
                  'rounded-lg px-2 py-1.5 sm:px-3',
                  isActive ? 'bg-mist font-semibold text-fern' : 'text-ink hover:bg-mist',
                )
              }
            >
              {name}
            </NavLink>
          ))}
        </nav>
        <div className="ml-auto flex items-center gap-1">
          <span className="mr-2 hidden text-soft md:inline">
            {session.data?.studio.name} · {session.data?.user.name}
          </span>
          <IconButton label={dark ? 'Light theme' : 'Dark theme'} onClick={toggle}>
            {dark ? <Sun size={18} aria-hidden /> : <Moon size={18} aria-hidden />}
          </IconButton>
          <SignOut />
        </div>
      </div>
    </header>
  );
}

function SignOut() {
  const { mutate } = useSWRConfig();
  const navigate = useNavigate();
  const [busy, setBusy] = useState(false);
  const signOut = async () => {
    setBusy(true);
    try {
      await request('DELETE', '/session');
      // Another studio may sign in on this device: nothing of this one stays behind.
      await mutate(() => true, undefined, { revalidate: false });
      await navigate('/sign-in');
    } catch (error) {
      toast.error(sentenceOf(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <IconButton label="Sign out" onClick={() => (busy ? undefined : void signOut())}>
      <LogOut size={18} aria-hidden />
    </IconButton>
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
