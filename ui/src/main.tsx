import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import './theme/global.css';
import { QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { Refusal } from './data/client';
import { keys } from './data/keys';
import { firstAnswer } from './data/reach';
import { readQueue, tryKeeping } from './data/queue';
import { bringBack, keepWhatIsSeen } from './data/seen';
import { readAnewWhenNewer, shellForAway } from './shell/away';
import { router } from './shell/routes';
import { UnitsProvider } from './shell/UnitsProvider';
import { stampStyles } from './theme/nonce';
import { ThemeProvider } from './shell/ThemeProvider';

// a phone has the headings' face in one width and weight, which is a sixth of its size
void (window.matchMedia('(max-width: 640px)').matches
  ? import('@fontsource/archivo/600.css')
  : import('@fontsource-variable/archivo/standard.css'));
stampStyles();
shellForAway();
readAnewWhenNewer();

const LET_IN_NO_MORE = 401;

const queries = new QueryClient({
  queryCache: new QueryCache({
    onError: (error, query) => {
      if (
        error instanceof Refusal &&
        error.status === LET_IN_NO_MORE &&
        query.queryKey[0] !== keys.session[0]
      ) {
        void queries.invalidateQueries({ queryKey: keys.session });
      }
    },
  }),
  defaultOptions: {
    // whether there is a way to the server says the server: the vehicle's network needs no internet
    queries: {
      retry: (failed, error) => failed < 1 && error instanceof Refusal && !error.isSilence,
      staleTime: 5_000,
      refetchOnWindowFocus: true,
      networkMode: 'always',
    },
    mutations: { networkMode: 'always' },
  },
});

const root = document.getElementById('root');
if (!root) {
  throw new Error('the page has no root element');
}

keepWhatIsSeen(queries);
void readQueue().then(tryKeeping);
const session = await firstAnswer();
if (session === null) {
  await bringBack(queries);
} else {
  queries.setQueryData(keys.session, session);
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
