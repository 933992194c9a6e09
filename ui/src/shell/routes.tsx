import { createBrowserRouter, Navigate } from 'react-router';
import { Entry } from './Entry';

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
      { path: '/', element: <Navigate to="/pitch" replace /> },
      { path: '/pitch', lazy: async () => ({ Component: (await import('../pitch/PitchView')).PitchView }) },
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
      { path: '/bench', lazy: async () => ({ Component: (await import('../bench/BenchView')).BenchView }) },
      { path: '/why', lazy: async () => ({ Component: (await import('../why/WhyView')).WhyView }) },
      { path: '/aim', lazy: async () => ({ Component: (await import('../aim/AimView')).AimView }) },
      {
        path: '/practice',
        lazy: async () => ({ Component: (await import('../practice/PracticeView')).PracticeView }),
      },
      {
        path: '/fit-out',
        lazy: async () => ({ Component: (await import('../fitout/FitoutView')).FitoutView }),
      },
      { path: '/rig', lazy: async () => ({ Component: (await import('../rig/RigView')).RigView }) },
      { path: '*', lazy: async () => ({ Component: (await import('../lost/LostView')).LostView }) },
    ],
  },
]);
