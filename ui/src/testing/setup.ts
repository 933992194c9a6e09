import 'fake-indexeddb/auto';
import { cleanup, configure } from '@testing-library/react';
import { afterAll, afterEach, vi } from 'vitest';
import { answer } from './server';

/** A page asks for addresses without a host. */
class PageRequest extends Request {
  constructor(input: RequestInfo | URL, init?: RequestInit) {
    super(typeof input === 'string' && input.startsWith('/') ? `http://127.0.0.1${input}` : input, init);
  }
}

globalThis.Request = PageRequest;
globalThis.fetch = (input, init) => answer(input instanceof Request ? input : new PageRequest(input, init));

if (typeof window !== 'undefined') {
  // nothing here rests on a style sheet, and calculating one without a real page takes seconds
  window.getComputedStyle = (element) => (element as HTMLElement).style;
  window.matchMedia = (query) =>
    ({
      matches: query.includes('min-width'),
      media: query,
      addListener: () => undefined,
      removeListener: () => undefined,
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
    }) as unknown as MediaQueryList;
  // a file's text can be asked of every browser; this page's stand-in only has the older reader
  Blob.prototype.text = function () {
    return new Promise((resolve, reject) => {
      const reader = new FileReader();
      reader.onload = () => resolve(reader.result as string);
      reader.onerror = () => reject(reader.error ?? new Error('unreadable'));
      reader.readAsText(this);
    });
  };
  // nothing is laid out, so that nothing scrolls
  Element.prototype.scrollIntoView = () => undefined;
  window.ResizeObserver = class {
    observe() {
      return undefined;
    }
    unobserve() {
      return undefined;
    }
    disconnect() {
      return undefined;
    }
  };
}

// a machine that does other work at the same time is slow, not wrong
// and whether a thing is hidden takes long to calculate without a real page
configure({ asyncUtilTimeout: 8_000, defaultHidden: true });

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
  if (typeof localStorage !== 'undefined') {
    localStorage.clear();
  }
});

// files share their modules and globals: what one puts in place of a global must not reach the next
afterAll(() => {
  vi.unstubAllGlobals();
});
