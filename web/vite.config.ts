import react from '@vitejs/plugin-react'
import { defineConfig } from 'vitest/config'
import { pack } from './pack'

export default defineConfig({
  plugins: [react(), pack()],
  build: {
    target: 'es2023',
    sourcemap: false,
    rolldownOptions: {
      output: {
        codeSplitting: {
          // What nearly every page draws with comes as one file: it packs better than its hundred small ones.
          groups: [
            {
              name: 'parts',
              test: /node_modules\/(@mantine|@floating-ui|react-remove-scroll|clsx)/,
              minShareCount: 16,
            },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:5210' } },
  test: {
    environment: 'jsdom',
    setupFiles: './src/afterEachTest.ts',
    testTimeout: 20_000,
    projects: [
      {
        extends: true,
        // The page's modules hold no state of their own: one window and one load of them serve all files.
        test: {
          name: 'shared',
          include: ['src/**/*.test.{ts,tsx}'],
          exclude: ['src/**/*.mocked.test.{ts,tsx}'],
          isolate: false,
          maxWorkers: 1,
        },
      },
      {
        extends: true,
        // What puts something else in the place of a module needs a load of its own.
        test: { name: 'mocked', include: ['src/**/*.mocked.test.{ts,tsx}'] },
      },
    ],
  },
})
