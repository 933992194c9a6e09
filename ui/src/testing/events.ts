import { act } from '@testing-library/react';

let told: ((event: { data: string }) => void) | undefined;

/** What stands for the browser's EventSource: what it tells is told by {@link tell}. */
export class Events {
  addEventListener(_name: string, listener: (event: { data: string }) => void) {
    told = listener;
  }

  close() {
    told = undefined;
  }
}

/** Tells those who follow something; nobody, where they have stopped. */
export const tell = (said: object) => act(() => told?.({ data: JSON.stringify(said) }));
