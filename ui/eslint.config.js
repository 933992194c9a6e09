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
  ...LAYERS.map((layer, i) => closed(layer, [...LAYERS.slice(i + 1), ...VIEWS, TOP])),
  ...VIEWS.map((view) => closed(view, [...VIEWS.filter((v) => v !== view), TOP])),
);
