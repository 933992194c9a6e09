/** The colours of both themes; they feed Ant Design, the style sheet and the drawings. */
export interface Tokens {
  paper: string;
  sheet: string;
  rule: string;
  ink: string;
  ink2: string;
  kelp: string;
  rust: string;
  ochre: string;
  ochreFill: string;
  tide: string;
  zone: string;
}

export type ThemeName = 'paper' | 'lamp';

export const themes: Record<ThemeName, Tokens> = {
  paper: {
    paper: '#F6F3EC',
    sheet: '#FFFDF8',
    rule: '#D9D2C3',
    ink: '#1B2621',
    ink2: '#56635C',
    kelp: '#1F6B5C',
    rust: '#A84A23',
    ochre: '#85600F',
    ochreFill: '#B58322',
    tide: '#2F6684',
    zone: '#EFEADF',
  },
  lamp: {
    paper: '#15120E',
    sheet: '#1B1712',
    rule: '#3A3227',
    ink: '#E8C9A0',
    ink2: '#AD9371',
    kelp: '#D98A3D',
    rust: '#DC7454',
    ochre: '#D9A94A',
    ochreFill: '#B58322',
    tide: '#B9A27E',
    zone: '#2A231A',
  },
};

export const textFont = '"Atkinson Hyperlegible Next Variable", sans-serif';
export const headFont = '"Archivo Variable", Archivo, sans-serif';

/** Makes the colours custom properties of the page: --paper, --sheet, … */
export function applyTokens(name: ThemeName) {
  const root = document.documentElement;
  root.dataset.theme = name;
  for (const [key, value] of Object.entries(themes[name])) {
    root.style.setProperty(`--${key}`, value);
  }
}
