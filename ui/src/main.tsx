import '@fontsource-variable/archivo/standard.css';
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import './theme/global.css';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { router } from './shell/routes';
import { UnitsProvider } from './shell/UnitsProvider';
import { stampStyles } from './theme/nonce';
import { ThemeProvider } from './shell/ThemeProvider';

stampStyles();

const queries = new QueryClient({
  defaultOptions: { queries: { retry: 1, staleTime: 5_000, refetchOnWindowFocus: true } },
});

const root = document.getElementById('root');
if (!root) {
  throw new Error('the page has no root element');
}
createRoot(root).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <ThemeProvider>
        <UnitsProvider>
          <RouterProvider router={router} />
        </UnitsProvider>
      </ThemeProvider>
    </QueryClientProvider>
  </StrictMode>,
);
