import { createBrowserRouter, Navigate } from 'react-router';
import { Shell } from './Shell';

export const router = createBrowserRouter([
  {
    element: <Shell />,
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
      { path: '/rig', lazy: async () => ({ Component: (await import('../rig/RigView')).RigView }) },
      { path: '*', lazy: async () => ({ Component: (await import('../later/LaterView')).LaterView }) },
    ],
  },
]);
