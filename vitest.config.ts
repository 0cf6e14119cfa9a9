import { defineConfig } from 'vitest/config';

const project = (name: string, include: string[]) => ({
  // Property tests lay out many classes; a slow machine may take its time.
  test: {
    name,
    include,
    environment: 'node' as const,
    testTimeout: 60_000,
    hookTimeout: 60_000,
    // Nothing of the core keeps state between tests: its modules are read once, not for every file.
    isolate: false,
  },
});

export default defineConfig({
  test: {
    // By itself it leaves a core idle; on two, that is half of them.
    maxWorkers: '100%',
    projects: [
      project('core', [
        'core/src/**/*.test.ts',
        'library/src/**/*.test.ts',
        'cli/**/*.test.ts',
        'desk/src/**/*.test.ts',
      ]),
      {
        test: {
          name: 'server',
          include: ['server/src/**/*.test.ts'],
          environment: 'node' as const,
          // One database for all of them: a file at a time. Each binds the models anew; modules are read once.
          fileParallelism: false,
          isolate: false,
          hookTimeout: 30_000,
          // Walks over every route and role take as long as the database does.
          testTimeout: 60_000,
        },
      },
      project('web', ['web/src/**/*.test.ts']),
      {
        test: {
          name: 'screens',
          include: ['web/src/**/*.test.tsx'],
          environment: 'jsdom' as const,
          // Each test takes away what it drew and stored: modules and the window are read once.
          isolate: false,
          testTimeout: 60_000,
        },
      },
    ],
  },
});
