const transform = {
  '^.+\\.[jt]sx?$': [
    '@swc/jest',
    {
      jsc: {
        parser: { syntax: 'typescript', tsx: true },
        target: 'es2022',
        transform: { react: { runtime: 'automatic' } },
      },
      module: { type: 'commonjs' },
    },
  ],
};
const project = (displayName, root, more = {}) => ({
  displayName,
  rootDir: `${import.meta.dirname}`,
  roots: [`<rootDir>/${root}`],
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  transform,
  transformIgnorePatterns: ['/node_modules/(?!tinyqueue/)'],
  testEnvironment: 'node',
  ...more,
});
export default {
  projects: [
    project('core', 'core/src'),
    project('demo', 'demo'),
    project('web', 'web/src'),
    project('server', 'server/src', { setupFilesAfterEnv: ['<rootDir>/server/src/testing/patience.ts'] }),
  ],
};
