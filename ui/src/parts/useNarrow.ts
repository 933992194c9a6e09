import { useSyncExternalStore } from 'react';

const NARROW = '(max-width: 1000px)';

function subscribe(changed: () => void) {
  const query = window.matchMedia(NARROW);
  query.addEventListener('change', changed);
  return () => query.removeEventListener('change', changed);
}

/** Whether the margin folds under the main column, as sheet.css has it. */
export const useNarrow = () =>
  useSyncExternalStore(
    subscribe,
    () => window.matchMedia(NARROW).matches,
    () => false,
  );
