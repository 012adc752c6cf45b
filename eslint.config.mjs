import { readFileSync } from 'node:fs';
import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

const noFrameworks = ['react', 'react-*', 'express', 'sequelize', 'node:*', '@reduxjs/*', '@inch-tower/*'];

/** The core's rooms: each imports from those before it alone, and those of one rank do not know each other. */
const ROOMS = JSON.parse(readFileSync('core/rooms.json', 'utf8'));

const coreRules = (rooms) => ({
  'no-restricted-imports': [
    'error',
    {
      patterns: [
        { group: noFrameworks },
        ...(rooms.length
          ? [
              {
                group: rooms.flatMap((room) => [`../${room}`, `../${room}/*`, `../../${room}/*`]),
                message: 'Rooms import from those before them (core/README.md).',
              },
            ]
          : []),
      ],
    },
  ],
});
/** Rooms of one rank do not know each other, but for figures, which read the wiring. */
const KNOWN = { figures: ['wiring'], remedies: ['bill'] };
const roomRules = ROOMS.flatMap((rank, i) =>
  rank.map((room) => ({
    files: [`core/src/${room}/**/*.ts`],
    ignores: ['**/*.test.ts'],
    rules: coreRules([
      ...rank.filter((other) => other !== room && !(KNOWN[room] ?? []).includes(other)),
      ...ROOMS.slice(i + 1).flat(),
    ]),
  })),
);

const notTheServer = ['express', 'sequelize', '@inch-tower/server', '*/server/*'];

export default ts.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.cache/**', '.data/**', 'test-results/**'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'error',
    },
  },
  // Prettier lays the code out; what it leaves longer, as comments and texts, is for the writer to break.
  {
    files: ['{core,server,web}/src/**/*.{ts,tsx}', 'scripts/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: { 'max-len': ['error', { code: 120 }], 'max-statements-per-line': ['error', { max: 1 }] },
  },
  // The core is pure: it imports no interface, no server and nothing of the machine.
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts', 'core/src/testing/**'],
    rules: {
      'no-restricted-imports': ['error', { patterns: noFrameworks }],
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch'],
      'no-restricted-syntax': [
        'error',
        {
          selector: "MemberExpression[object.name='Math'][property.name='random']",
          message: 'Randomness is passed in.',
        },
        {
          selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
          message: 'The clock is passed in.',
        },
      ],
      // Sixty are aimed at; a search or a table of kinds may take some more.
      'max-lines-per-function': ['error', { max: 100, skipBlankLines: true, skipComments: true }],
    },
  },
  ...roomRules,
  {
    files: ['server/src/**/*.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: ['react', '@inch-tower/web', '*/web/*'] }] },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: {
      ...hooks.configs.recommended.rules,
      'no-restricted-imports': ['error', { patterns: notTheServer }],
    },
  },
  {
    // Only the worker solves and assesses.
    files: ['web/src/**/*.{ts,tsx}'],
    ignores: ['web/src/worker/{benchWorker,viewAnswers,seldom,ways}.ts', 'web/src/**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: notTheServer.map((group) => ({ group: [group] })),
          paths: [
            {
              name: '@inch-tower/core',
              importNames: [
                'assess',
                'commit',
                'createAssessor',
                'hostDrives',
                'problemOf',
                'remediesFor',
                'settleEdit',
                'solve',
                'tryAt',
                'weigh',
                'whyNot',
              ],
              message: 'Only the worker solves: ask it through worker/client.ts.',
            },
          ],
        },
      ],
    },
  },
);
