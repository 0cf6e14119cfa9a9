import { Toaster } from 'sonner';
import { RouterProvider } from 'react-router';
import { router } from './routes.tsx';
import { useTheme } from '../parts/theme.ts';

export function App() {
  const { dark } = useTheme();
  return (
    <>
      <RouterProvider router={router} />
      <Toaster theme={dark ? 'dark' : 'light'} position="bottom-right" />
    </>
  );
}
