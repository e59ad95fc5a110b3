import { Suspense } from 'react';
import { createBrowserRouter, Navigate, useParams, useRouteError } from 'react-router';
import { AREA_PAGES, FIRST_AREA } from '../areas/areas.ts';
import { OpenSystem } from '../system/open-system.tsx';
import { Message } from '../ui/message.tsx';
import { lazyPart } from '../ui/patient.ts';
import { Shell } from './shell.tsx';

const SystemsPage = lazyPart(() => import('../list/systems-page.tsx'));
const GuestPage = lazyPart(() => import('../guest/guest-page.tsx'));
const StoragePage = lazyPart(() => import('../list/storage-page.tsx'));

function SystemRoute() {
  const { id = '' } = useParams();
  return (
    <OpenSystem id={id} key={id}>
      <Shell />
    </OpenSystem>
  );
}

function Failure() {
  const error = useRouteError();
  const detail = error instanceof Error ? error.message : 'Load the page again.';
  return <Message title="Something failed; what was saved is kept" detail={detail} back />;
}

export const router = createBrowserRouter([
  {
    errorElement: <Failure />,
    children: [
      {
        path: '/',
        element: (
          <Suspense>
            <SystemsPage />
          </Suspense>
        ),
      },
      {
        path: '/storage',
        element: (
          <Suspense>
            <StoragePage />
          </Suspense>
        ),
      },
      {
        path: '/g/:address',
        element: (
          <Suspense>
            <GuestPage />
          </Suspense>
        ),
      },
      {
        path: '/systems/:id',
        element: <SystemRoute />,
        children: [
          { index: true, element: <Navigate to={FIRST_AREA} replace /> },
          ...AREA_PAGES.map(({ id, Area }) => ({ path: id, element: <Area /> })),
          {
            path: '*',
            element: <Message title="There is no such area" detail="Choose one above." />,
          },
        ],
      },
      {
        path: '*',
        element: <Message title="There is nothing here" detail="The address leads nowhere." back />,
      },
    ],
  },
]);
