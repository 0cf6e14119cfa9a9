import { Toaster } from 'sonner';
import { RouterProvider } from 'react-router';
import { router } from './routes.tsx';
import { useTheme } from '../parts/theme.ts';

export function App() {
  const { dark } = useTheme();
  return (
    <>
      <RouterProvider router={router} />
      {/* Above the foot of Plan: what is said must not cover what is pressed next. */}
      <Toaster
        theme={dark ? 'dark' : 'light'}
        position="bottom-right"
        offset={{ bottom: 124 }}
        mobileOffset={{ bottom: 140 }}
      />
    </>
  );
}
