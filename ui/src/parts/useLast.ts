import { useState } from 'react';

/** The value, or the last one there was while there is none. */
export function useLast<T>(value: T | undefined): T | undefined {
  const [last, setLast] = useState(value);
  if (value !== undefined && value !== last) {
    setLast(value);
  }
  return value ?? last;
}
