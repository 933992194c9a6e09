import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { api, unwrap } from './client';
import { keys } from './keys';

/** How often a page asks whether what it shows is of now. */
const ASKED_MS = 2_500;

/** What changes with the application only, and what has its own watch. */
const APART = new Set<unknown>([
  ...keys.figures,
  ...keys.gearForms,
  ...keys.chainChoices,
  ...keys.revision,
  ...keys.session,
]);

/** The version of the interface that this page is of. */
const OWN = document.querySelector<HTMLMetaElement>('meta[name="syntoma-version"]')?.content ?? '';

/** Keeps what is shown of now, whoever changes it; says whether a newer version of the interface is there. */
export function useNow(): { newer: boolean } {
  const client = useQueryClient();
  const { data } = useQuery({
    queryKey: keys.revision,
    queryFn: ({ signal }) => unwrap(api.GET('/api/revision', { signal })),
    refetchInterval: ASKED_MS,
    staleTime: 0,
    retry: false,
  });
  const seen = useRef<number | null>(null);
  const revision = data?.revision;
  useEffect(() => {
    if (revision === undefined) {
      return;
    }
    if (seen.current !== null && seen.current !== revision) {
      void client.invalidateQueries({ predicate: (query) => !APART.has(query.queryKey[0]) });
    }
    seen.current = revision;
  }, [revision, client]);
  return { newer: data !== undefined && OWN !== '' && !OWN.startsWith('%') && data.version !== OWN };
}
