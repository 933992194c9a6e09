// @vitest-environment jsdom
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { expect, test, vi } from 'vitest';
import { both, stateOf } from '../data/state';
import { show } from '../testing/show';
import { Loaded } from './Loaded';

const query = (data: number | undefined, error: Error | null, refetch = vi.fn()) => ({
  data,
  error,
  refetch,
});

test('waiting shows no number, a failure says why and tries again, data are shown', async () => {
  const user = userEvent.setup();
  const again = vi.fn();
  const shown = (n: number) => <b>{n} owned</b>;
  const page = show(<Loaded state={stateOf(query(undefined, null))}>{shown}</Loaded>);
  expect(page.container.textContent).not.toMatch(/\d|none/);
  page.unmount();

  const failed = show(
    <Loaded state={stateOf(query(undefined, new Error('Syntoma does not answer.'), again))}>{shown}</Loaded>,
  );
  expect(screen.getByRole('alert').textContent).toContain('Syntoma does not answer.');
  await user.click(screen.getByRole('button', { name: 'Retry' }));
  expect(again).toHaveBeenCalledOnce();
  failed.unmount();

  show(<Loaded state={stateOf(query(3, new Error('late')))}>{shown}</Loaded>);
  expect(screen.getByText('3 owned')).toBeDefined();
});

test('two answers are there when both are, and failed when one is', () => {
  const there = stateOf(query(1, null));
  const waiting = stateOf(query(undefined, null));
  const failed = stateOf(query(undefined, new Error('no')));
  expect(both(there, there)).toEqual({ is: 'there', data: [1, 1] });
  expect(both(there, waiting).is).toBe('waiting');
  expect(both(waiting, failed).is).toBe('failed');
  expect(both(failed, there).is).toBe('failed');
});
