import { useCallback, useState } from 'react';

/** State that survives a reload, kept in this browser. */
export function useStored<T>(key: string, initial: T): [T, (value: T) => void, () => void] {
  const name = `syntoma.${key}`;
  const [value, setValue] = useState<T>(() => readStored(key, initial));
  const set = useCallback(
    (next: T) => {
      setValue(next);
      localStorage.setItem(name, JSON.stringify(next));
    },
    [name],
  );
  const clear = useCallback(() => {
    localStorage.removeItem(name);
    setValue(initial);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the initial value is meant as given first
  }, [name]);
  return [value, set, clear];
}

/** What is kept in this browser now. */
export function readStored<T>(key: string, initial: T): T {
  try {
    const text = localStorage.getItem(`syntoma.${key}`);
    return text === null ? initial : (JSON.parse(text) as T);
  } catch {
    return initial;
  }
}
