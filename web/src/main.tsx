import './index.css';

import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode, type ReactNode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, Outlet } from 'react-router';
import { RouterProvider } from 'react-router/dom';

import { JoinPage } from './account/JoinPage';
import { ResetPage } from './account/ResetPage';
import { SignInPage } from './account/SignInPage';
import { useUnits } from './api/units';
import { DecimalSignContext, decimalSignOf } from './ui/numbers';
import { useSession } from './api/useSession';
import { Outdated } from './app/Outdated';
import { theme } from './app/theme';
import { CalibrationPage } from './calibration/CalibrationPage';
import { ComparePage } from './compare/ComparePage';
import { FieldPage } from './bench/FieldPage';
import { FieldsPage } from './fields/FieldsPage';
import { PeoplePage } from './people/PeoplePage';
import { ReplayPage } from './replay/ReplayPage';
import { SpeciesPage } from './species/SpeciesPage';
import { SeedStorePage } from './store/SeedStorePage';
import { WeatherPage } from './weather/WeatherPage';

function Gate({ children }: { children: ReactNode }) {
  const session = useSession();
  if (session.isPending) return null;
  if (session.isError) {
    return (
      <main className="p-8">
        <p role="alert">The server does not answer. Try again in a moment.</p>
        <button type="button" className="btn mt-3" onClick={() => void session.refetch()}>
          Try again
        </button>
      </main>
    );
  }
  return session.data.signedIn ? children : <Navigate to="/sign-in" replace />;
}

/** Numbers are read as the person's country writes them, where no farm says otherwise. */
function OwnNumbers() {
  const us = useUnits() === 'us';
  return (
    <DecimalSignContext value={decimalSignOf(us)}>
      <Outdated />
      <Outlet />
    </DecimalSignContext>
  );
}

const router = createBrowserRouter([
  { path: '/', element: <Navigate to="/fields" replace /> },
  { path: '/sign-in', element: <SignInPage /> },
  { path: '/join', element: <JoinPage /> },
  { path: '/reset', element: <ResetPage /> },
  {
    element: (
      <Gate>
        <OwnNumbers />
      </Gate>
    ),
    children: [
      { path: '/fields', element: <FieldsPage /> },
      { path: '/fields/:fieldId', element: <FieldPage /> },
      { path: '/fields/:fieldId/past-year', element: <ReplayPage /> },
      { path: '/fields/:fieldId/compared', element: <ComparePage /> },
      { path: '/fields/:fieldId/:step', element: <FieldPage /> },
      { path: '/weather', element: <WeatherPage /> },
      { path: '/species', element: <SpeciesPage /> },
      { path: '/seed-store', element: <SeedStorePage /> },
      { path: '/calibration', element: <CalibrationPage /> },
      { path: '/people', element: <PeoplePage /> },
    ],
  },
  { path: '*', element: <Navigate to="/fields" replace /> },
]);

const queries = new QueryClient({
  defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: false } },
});

theme.restore();

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <RouterProvider router={router} />
    </QueryClientProvider>
  </StrictMode>,
);
