import { useSearchParams } from 'react-router';

/** Changes parts of the address in place; a part without a value goes. */
export function useAddress() {
  const [query, setQuery] = useSearchParams();
  return (change: Record<string, string | undefined>) => {
    const next = new URLSearchParams(query);
    for (const [key, value] of Object.entries(change)) {
      if (value === undefined) {
        next.delete(key);
      } else {
        next.set(key, value);
      }
    }
    setQuery(next, { replace: true });
  };
}
