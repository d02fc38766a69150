/** Types are checked by tsc; here the compiler only strips them. */
const transform = {
  '^.+\\.tsx?$': [
    '@swc/jest',
    {
      jsc: {
        parser: { syntax: 'typescript', tsx: true },
        target: 'es2022',
        transform: { react: { runtime: 'automatic' } },
      },
    },
  ],
};
const project = (name, extra = {}) => ({
  displayName: name,
  rootDir: '.',
  testEnvironment: 'node',
  testMatch: [`<rootDir>/${name}/**/*.test.ts`, `<rootDir>/${name}/**/*.test.tsx`],
  transform,
  setupFiles: ['<rootDir>/scripts/lib/seeded.ts'],
  // Tests run in a context of their own, where every look at a global is dear; the core looks at these millions of times.
  sandboxInjectedGlobals: ['Math', 'Object', 'Array', 'Number'],
  ...extra,
});
export default {
  // On two busy cores a painted picture or a hashed password can take seconds.
  testTimeout: 30_000,
  // All cores: by itself Jest leaves one of them to whoever watches, which of two is half.
  maxWorkers: '100%',
  projects: ['core', 'contract', 'web', 'server', 'scripts'].map((name) => project(name)),
};
