import { useCallback, useSyncExternalStore } from 'react';

function useMedia(query: string) {
  const subscribe = useCallback(
    (changed: () => void) => {
      const media = window.matchMedia(query);
      media.addEventListener('change', changed);
      return () => media.removeEventListener('change', changed);
    },
    [query],
  );
  return useSyncExternalStore(
    subscribe,
    () => window.matchMedia(query).matches,
    () => false,
  );
}

/** Whether the margin folds under the main column, as sheet.css has it. */
export const useNarrow = () => useMedia('(max-width: 1000px)');

/** Whether there is as little room as on a phone, as list.css has it. */
export const usePhone = () => useMedia('(max-width: 640px)');
