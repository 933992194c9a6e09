// @vitest-environment jsdom
import { act, renderHook, waitFor } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import { useAwake, useStayingAwake } from './useAwake';

afterEach(() => {
  Reflect.deleteProperty(navigator, 'wakeLock');
});

test('the screen stays awake on every view from the switch on, and sleeps when that is taken back', async () => {
  let held = 0;
  const locks: { released: boolean; release: () => Promise<number> }[] = [];
  const request = () => {
    held++;
    const lock = {
      released: false,
      release: () => {
        lock.released = true;
        return Promise.resolve(held--);
      },
    };
    locks.push(lock);
    return Promise.resolve(lock);
  };
  Object.defineProperty(navigator, 'wakeLock', { value: { request }, configurable: true });
  const shell = renderHook(() => useStayingAwake());
  const view = renderHook(() => useAwake());
  expect(held).toBe(0);
  act(() => view.result.current.toggle());
  await waitFor(() => expect(held).toBe(1));
  view.unmount();
  expect(held).toBe(1);
  // a browser lets go of it by itself when the page is hidden
  await locks[0]?.release();
  document.dispatchEvent(new Event('visibilitychange'));
  await waitFor(() => expect(held).toBe(1));
  expect(locks.length).toBe(2);
  const other = renderHook(() => useAwake());
  act(() => other.result.current.toggle());
  await waitFor(() => expect(held).toBe(0));
  shell.unmount();
});

test('where a browser cannot, nothing is offered', () => {
  expect(renderHook(() => useAwake()).result.current.possible).toBe(false);
});
