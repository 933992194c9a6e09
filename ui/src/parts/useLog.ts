import { createContext, use } from 'react';

/** Opens the dialogs that log a measurement, that correct one, and that mend one which waits on this device. */
export const LogContext = createContext<{
  open: () => void;
  correct: (id: number) => void;
  mend: (key: string) => void;
}>({
  open: () => undefined,
  correct: () => undefined,
  mend: () => undefined,
});

export const useLog = () => use(LogContext);
