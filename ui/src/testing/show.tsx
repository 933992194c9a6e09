import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import { App } from 'antd';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';

/** Shows a part of the interface at an address, as the page does. */
export function show(what: ReactNode, address = '/') {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  return render(
    <QueryClientProvider client={queries}>
      <App>
        <MemoryRouter initialEntries={[address]}>{what}</MemoryRouter>
      </App>
    </QueryClientProvider>,
  );
}
