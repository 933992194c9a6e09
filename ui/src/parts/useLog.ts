import { createContext, use } from 'react';

/** Opens the dialogs that log a measurement, that log one from a pasted text, that correct one, and that mend one which waits on this device. */
export const LogContext = createContext<{
  open: () => void;
  paste: () => void;
  correct: (id: number) => void;
  mend: (key: string) => void;
}>({
  open: () => undefined,
  paste: () => undefined,
  correct: () => undefined,
  mend: () => undefined,
});

export const useLog = () => use(LogContext);
