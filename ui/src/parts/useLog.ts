import { createContext, use } from 'react';

/** Opens the dialogs that log a measurement, and that correct one. */
export const LogContext = createContext<{ open: () => void; correct: (id: number) => void }>({
  open: () => undefined,
  correct: () => undefined,
});

export const useLog = () => use(LogContext);
