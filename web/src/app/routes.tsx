import { createBrowserRouter, Outlet } from 'react-router';
import { Loading } from '../parts/states.tsx';
import { Component as Today } from '../screens/today/today.tsx';
import { LostPage } from '../parts/not-found.tsx';
import { ErrorPage } from './error-page.tsx';
import { ClassShell } from './class-shell.tsx';
import { RequireSession, Shell } from './shell.tsx';

/** What stands on the catalogue waits for the studio's own exercises. */
const exercises = () => import('./catalogue-gate.tsx');

/** Every screen is fetched when it is first opened. */
export const router = createBrowserRouter([
  {
    errorElement: <ErrorPage />,
    HydrateFallback: () => <Loading what="Wrenfern" />,
    children: [
      { path: '/sign-in', lazy: () => import('../screens/sign-in/sign-in.tsx') },
      { path: '/demo', lazy: () => import('../screens/sign-in/demo-door.tsx') },
      { path: '/wall/:token', lazy: () => import('../screens/wall/wall.tsx') },
      { path: '/join', lazy: () => import('../screens/sign-in/join.tsx') },
      {
        element: <Shell />,
        children: [
          // Where nearly everyone begins: part of the first file, not fetched after it.
          { path: '/', Component: Today },
          {
            lazy: exercises,
            children: [
              { path: '/library', lazy: () => import('../screens/library/library.tsx') },
              {
                path: '/library/:slug',
                lazy: () => import('../screens/library/exercise-page.tsx'),
              },
              {
                path: '/library/:slug/edit',
                lazy: () => import('../screens/library/editor/editor.tsx'),
              },
              { path: '/people/:id', lazy: () => import('../screens/people/person-page.tsx') },
            ],
          },
          { path: '/classes', lazy: () => import('../screens/classes/classes.tsx') },
          { path: '/people', lazy: () => import('../screens/people/people.tsx') },
          { path: '/studio', lazy: () => import('../screens/studio/studio.tsx') },
          { path: '/studio/trail', lazy: () => import('../screens/studio/trail.tsx') },
          { path: '/wastebasket', lazy: () => import('../screens/wastebasket/wastebasket.tsx') },
          { path: '/account', lazy: () => import('../screens/account/account.tsx') },
          {
            path: '/studio/schools/:id',
            lazy: () => import('../screens/studio/school-page.tsx'),
          },
        ],
      },
      {
        path: '/classes/:id',
        element: <ClassShell />,
        children: [
          {
            lazy: exercises,
            children: [
              { path: 'plan', lazy: () => import('../screens/plan/plan.tsx') },
              { path: 'check-in', lazy: () => import('../screens/check-in/check-in.tsx') },
              { path: 'options', lazy: () => import('../screens/options/options.tsx') },
              { path: 'rehearse', lazy: () => import('../screens/rehearse/rehearse.tsx') },
              { path: 'log', lazy: () => import('../screens/log/log.tsx') },
            ],
          },
        ],
      },
      {
        // Without a frame round them: paper and the wall are the whole page.
        element: (
          <RequireSession>
            <Outlet />
          </RequireSession>
        ),
        children: [
          {
            lazy: exercises,
            children: [
              { path: '/classes/:id/sheet', lazy: () => import('../screens/paper/paper.tsx') },
              { path: '/classes/:id/teach', lazy: () => import('../screens/teach/teach.tsx') },
            ],
          },
        ],
      },
      { path: '*', element: <LostPage /> },
    ],
  },
]);
