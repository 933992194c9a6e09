// @vitest-environment jsdom
import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { act, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { useQuiet } from './useQuiet';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

function Page({ ask }: { ask: () => Promise<string> }) {
  useQuery({ queryKey: ['asked'], queryFn: ask });
  return <p>{useQuiet(1_000, 6_000) ? 'quiet' : 'busy'}</p>;
}

const open = (ask: () => Promise<string>) =>
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Page ask={ask} />
    </QueryClientProvider>,
  );

const pass = (ms: number) => act(() => vi.advanceTimersByTimeAsync(ms));

test('a page is quiet a while after its last answer', async () => {
  open(() => new Promise((answer) => setTimeout(() => answer('late'), 3_000)));
  await pass(3_500);
  expect(screen.getByText('busy')).toBeDefined();
  await pass(1_000);
  expect(screen.getByText('quiet')).toBeDefined();
});

test('one that never stops asking is taken for quiet in the end', async () => {
  open(() => new Promise(() => undefined));
  await pass(5_900);
  expect(screen.getByText('busy')).toBeDefined();
  await pass(200);
  expect(screen.getByText('quiet')).toBeDefined();
});
