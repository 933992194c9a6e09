import { createContext, use } from 'react';
import type { ThemeName } from './tokens';

export const ThemeContext = createContext<{ name: ThemeName; toggle: () => void }>({
  name: 'paper',
  toggle: () => undefined,
});

export const useTheme = () => use(ThemeContext);
