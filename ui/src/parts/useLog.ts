import { createContext, use } from 'react';

/** Opens the dialog that logs a reading. */
export const LogContext = createContext<{ open: () => void }>({ open: () => undefined });

export const useLog = () => use(LogContext);
