import tseslint from 'typescript-eslint'
import hooks from 'eslint-plugin-react-hooks'

/** Dependencies point one way: web and server → words → model → contract → core. */
const forbid = (patterns, message) => ({
  'no-restricted-imports': ['error', { patterns: [{ regex: patterns, message }] }],
})

/** Literals spread into literals to save lines: one property, one line. */
const PACKED = [
  {
    selector: 'ObjectExpression > SpreadElement > ObjectExpression',
    message: 'Write its properties where they belong, one a line.',
  },
  {
    selector: 'ArrayExpression > SpreadElement > ArrayExpression',
    message: 'Write its elements where they belong.',
  },
]
/** What the compiler can't follow it can't check. */
const THROUGH_UNKNOWN = {
  selector: 'TSAsExpression > TSAsExpression > TSUnknownKeyword',
  message: 'Say what it is where it is made, or give the function a signature.',
}

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.data/**', 'test-results/**'] },
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-warning-comments': ['error', { terms: ['todo', 'fixme'] }],
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'no-console': 'error',
      'no-restricted-syntax': ['error', ...PACKED],
    },
  },
  // A migration that has landed is never edited again.
  { files: ['server/src/database/migrations/**'], rules: { 'no-restricted-syntax': 'off' } },
  {
    files: ['**/*.{ts,tsx}'],
    ignores: [
      'server/src/database/migrations/**',
      '**/*.test.ts',
      '**/*.test.tsx',
      '**/bench/**',
      '**/testing/**',
      'e2e/**',
      'demo/**',
    ],
    rules: { 'no-restricted-syntax': ['error', ...PACKED, THROUGH_UNKNOWN] },
  },
  {
    // Outside of numeric loops nothing is taken for there that may be missing.
    files: ['{contract,model,words,server,web}/src/**/*.{ts,tsx}'],
    ignores: [
      '**/*.test.ts',
      '**/*.test.tsx',
      '**/testing/**',
      '**/migrations/**',
      'server/src/http/isModest.ts',
    ],
    rules: { '@typescript-eslint/no-non-null-assertion': 'error' },
  },
  { files: ['bin/**', 'server/src/report.ts'], rules: { 'no-console': 'off' } },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts', 'core/**/testing/**', 'core/bench/**'],
    rules: forbid('^(@bold-ballast/|node:|[a-z@])', 'core depends on nothing.'),
  },
  {
    files: ['contract/**/*.ts'],
    rules: forbid(
      '^@bold-ballast/(server|web|demo|words|model)|^node:',
      'contract depends on core and Zod only.',
    ),
  },
  {
    files: ['model/**/*.ts'],
    ignores: ['model/**/*.test.ts'],
    rules: forbid(
      '^@bold-ballast/(server|web|demo|words|devices)|^node:',
      'model stands on contract and core.',
    ),
  },
  {
    files: ['words/**/*.ts'],
    ignores: ['words/**/*.test.ts'],
    rules: forbid(
      '^@bold-ballast/(server|web|demo|devices)|^node:',
      'words stand on model, contract and core.',
    ),
  },
  {
    files: ['devices/**/*.ts'],
    rules: forbid('^@bold-ballast/(contract|server|web|demo)', 'devices stand outside and know core only.'),
  },
  {
    files: ['server/**/*.ts'],
    rules: forbid('^@bold-ballast/web', 'server never reaches into web.'),
  },
  {
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: {
      ...hooks.configs.recommended.rules,
      // The React compiler is not used, so what it can't memoise does not matter.
      'react-hooks/incompatible-library': 'off',
      ...forbid('^@bold-ballast/(server|demo|devices)', 'web talks to the server over the contract.'),
    },
  },
  {
    // A room never imports from another room.
    files: ['web/src/rooms/**/*.{ts,tsx}'],
    rules: forbid(
      '^@bold-ballast/(server|demo)|\\.\\./rooms/|^(\\.\\./)+(garage|board|swaps|scales|dyno|driveline|aero|proof|stance|course|days|shop)/',
      'Rooms share through ui/ and store/ only.',
    ),
  },
)
