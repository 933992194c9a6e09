import { createBrowserRouter, Navigate, useLocation } from 'react-router';
import { Entry } from './Entry';

/** An address of before, where the page is kept on a device that has no network. */
function Moved({ to }: { to: string }) {
  const { search } = useLocation();
  return <Navigate to={to + search} replace />;
}

export const router = createBrowserRouter([
  {
    path: '/pair',
    hydrateFallbackElement: <div className="page" />,
    lazy: async () => ({ Component: (await import('../access/PairView')).PairView }),
  },
  {
    path: '/guest',
    hydrateFallbackElement: <div className="page" />,
    lazy: async () => ({ Component: (await import('../access/GuestView')).GuestView }),
  },
  {
    element: <Entry />,
    hydrateFallbackElement: <div className="page" />,
    children: [
      { path: '/', element: <Navigate to="/tonight" replace /> },
      { path: '/tonight', lazy: async () => ({ Component: (await import('../pitch/PitchView')).PitchView }) },
      {
        path: '/trials',
        lazy: async () => ({ Component: (await import('../trials/TrialsView')).TrialsView }),
      },
      {
        path: '/logbook',
        lazy: async () => ({ Component: (await import('../logbook/LogbookView')).LogbookView }),
      },
      {
        path: '/devices',
        lazy: async () => ({ Component: (await import('../access/DevicesView')).DevicesView }),
      },
      {
        path: '/measure',
        lazy: async () => ({ Component: (await import('../measure/MeasureView')).MeasureView }),
      },
      { path: '/walk', lazy: async () => ({ Component: (await import('../walk/WalkView')).WalkView }) },
      {
        path: '/arrive',
        lazy: async () => ({ Component: (await import('../arrive/ArriveView')).ArriveView }),
      },
      { path: '/leave', lazy: async () => ({ Component: (await import('../leave/LeaveView')).LeaveView }) },
      {
        path: '/findings',
        lazy: async () => ({ Component: (await import('../findings/FindingsView')).FindingsView }),
      },
      { path: '/tools', lazy: async () => ({ Component: (await import('../bench/BenchView')).BenchView }) },
      { path: '/why', lazy: async () => ({ Component: (await import('../why/WhyView')).WhyView }) },
      { path: '/aim', lazy: async () => ({ Component: (await import('../aim/AimView')).AimView }) },
      {
        path: '/practice',
        lazy: async () => ({ Component: (await import('../practice/PracticeView')).PracticeView }),
      },
      {
        path: '/build',
        lazy: async () => ({ Component: (await import('../fitout/FitoutView')).FitoutView }),
      },
      { path: '/gear', lazy: async () => ({ Component: (await import('../rig/RigView')).RigView }) },
      { path: '/pitch', element: <Moved to="/tonight" /> },
      { path: '/rig', element: <Moved to="/gear" /> },
      { path: '/fit-out', element: <Moved to="/build" /> },
      { path: '/bench', element: <Moved to="/tools" /> },
      { path: '*', lazy: async () => ({ Component: (await import('../lost/LostView')).LostView }) },
    ],
  },
]);
