import next from 'eslint-config-next/core-web-vitals';
import nextTypescript from 'eslint-config-next/typescript';
import prettier from 'eslint-config-prettier';

/** Arrows run one way: app → ui, db, formats → core. */
const mayNotReach = (folder, ...outside) => ({
  files: [`${folder}/**/*.{ts,tsx}`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: outside.map((name) => ({
          group: [`@/${name}`, `@/${name}/*`, `**/${name}/*`],
          message: `${folder}/ does not reach into ${name}/ (see docs/architecture.md).`,
        })),
      },
    ],
  },
});

/** The chapters of the core, in the order of the work; those of one row do not know each other. */
const CHAPTERS = [
  ['maths'],
  ['terms'],
  ['measure'],
  ['house', 'strings'],
  ['frame'],
  ['path'],
  ['cut', 'counter'],
  ['advice'],
  ['bench'],
  ['record', 'queue', 'shelf'],
  ['tournament', 'ageing', 'sound', 'load', 'balance', 'reading'],
  ['papers'],
];

/** Each chapter imports only what stands to its left. */
const chapterZones = CHAPTERS.flatMap((row, i) =>
  row.map((chapter) => ({
    target: `./core/${chapter}`,
    from: [...row.filter((each) => each !== chapter), ...CHAPTERS.slice(i + 1).flat()].map(
      (each) => `./core/${each}`,
    ),
    message: `core/${chapter} stands to the left of it (see core/README.md).`,
  })),
);

/** Where there is no React, nothing asks for its rules: its compiler would read every file for them. */
const WITHOUT_REACT = ['{core,db,formats,workers,scripts,e2e}/**/*.ts', '**/*.test.ts'];
const reactRules = next
  .flatMap(({ rules = {} }) => Object.keys(rules))
  .filter((name) => /^(react|react-hooks|jsx-a11y|@next\/next)\//.test(name));

const config = [
  { ignores: ['.next/**', '.next-test/**', '.orthotens/**', 'next-env.d.ts', 'db/migrations/**'] },
  ...next,
  ...nextTypescript,
  prettier,
  {
    files: WITHOUT_REACT,
    rules: Object.fromEntries(reactRules.map((name) => [name, 'off'])),
  },
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      eqeqeq: ['error', 'always'],
    },
  },
  mayNotReach(
    'core',
    'app',
    'ui',
    'db',
    'formats',
    'react',
    'react-dom',
    'next',
    'drizzle-orm',
    'pg',
  ),
  mayNotReach('workers', 'app', 'ui', 'db'),
  mayNotReach('db', 'app', 'ui', 'formats', 'workers'),
  mayNotReach('formats', 'app', 'ui', 'db', 'workers'),
  mayNotReach('ui', 'app', 'db'),
  {
    files: ['app/**/*.tsx'],
    rules: {
      'no-restricted-imports': [
        'error',
        { name: 'next/link', message: 'Use ui/link: it asks for a page when somebody goes there.' },
      ],
    },
  },
  {
    // Tests may look to the right, at whole jobs.
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts', 'core/testing/**'],
    rules: { 'import/no-restricted-paths': ['error', { zones: chapterZones }] },
  },
  {
    files: ['core/**/*.ts'],
    rules: {
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process', 'localStorage'],
    },
  },
];

export default config;
