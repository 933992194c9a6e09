/** Registers the service worker, which has the interface's own files at hand when the server is out of reach. */
export function shellForAway() {
  if ('serviceWorker' in navigator && import.meta.env.PROD) {
    // a certificate that is not trusted is refused here: the page works, and is not there without the server
    window.addEventListener(
      'load',
      () => void navigator.serviceWorker.register('/sw.js').catch(() => undefined),
    );
  }
}

const TRIED = 'syntoma.reloaded';

/** A part of a page of before that the server has no more: the page is read again, once; what was typed stays. */
export function readAnewWhenNewer() {
  window.addEventListener('vite:preloadError', (event) => {
    if (sessionStorage.getItem(TRIED) === null) {
      sessionStorage.setItem(TRIED, '1');
      event.preventDefault();
      window.location.reload();
    }
  });
  window.addEventListener('load', () => setTimeout(() => sessionStorage.removeItem(TRIED), 10_000));
}
