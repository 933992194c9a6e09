import { readFileSync } from 'node:fs';
import { URL } from 'node:url';
import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

/** From the ground up: a layer imports from itself and from those before it. */
const LAYERS = ['theme', 'format', 'data', 'draw', 'parts'];
/** Views know the layers, and not each other. */
const VIEWS = [
  'aim',
  'fitout',
  'practice',
  'access',
  'pitch',
  'rig',
  'trials',
  'logbook',
  'log',
  'measure',
  'walk',
  'why',
  'arrive',
  'findings',
  'bench',
  'lost',
];
const TOP = 'shell';

/** Words that the interface does not say; the list, with what to say instead, is docs/wording.txt. */
const WORDS = readFileSync(new URL('../docs/wording.txt', import.meta.url), 'utf8')
  .split('\n')
  .filter((line) => line.startsWith('word: '))
  .map((line) => line.slice('word: '.length).split(' => '))
  .flatMap(([pattern, better]) =>
    ['JSXText[value=@]', 'Literal[value=@]', 'TemplateElement[value.raw=@]'].map((node) => ({
      selector: node.replace('@', `/${pattern}/i`),
      message: `Say it plainly: ${better}. See docs/wording.txt.`,
    })),
  );

const closed = (folder, doors) => ({
  files: [`src/${folder}/**`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: doors.map((door) => ({
          group: [`../${door}/*`],
          message: `${folder} stands below or beside ${door}; see docs/architecture.md`,
        })),
      },
    ],
  },
});

export default ts.config(
  { ignores: ['dist', 'src/data/schema.ts'] },
  js.configs.recommended,
  ...ts.configs.strict,
  hooks.configs.flat['recommended-latest'],
  { rules: { '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_' }] } },
  {
    files: ['src/**/*.ts', 'src/**/*.tsx'],
    ignores: ['src/**/*.test.ts', 'src/**/*.test.tsx'],
    rules: { 'no-restricted-syntax': ['error', ...WORDS] },
  },
  ...LAYERS.map((layer, i) => closed(layer, [...LAYERS.slice(i + 1), ...VIEWS, TOP])),
  ...VIEWS.map((view) => closed(view, [...VIEWS.filter((v) => v !== view), TOP])),
);
