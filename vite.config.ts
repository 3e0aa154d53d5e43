import react from '@vitejs/plugin-react'
import laravel from 'laravel-vite-plugin'
import { defineConfig } from 'vitest/config'
import { antdCss } from './vite/antdStyles.ts'
import { handoutFonts } from './vite/handoutFonts.ts'
import { gzipped, onlyTheSigns } from './vite/lighten.ts'
import { serviceWorker } from './vite/serviceWorker.ts'

export default defineConfig({
  // Tests need no page served; where CI is set, the plugin refuses to start a server for them.
  plugins: [
    process.env.VITEST === undefined ? laravel({ input: 'resources/js/main.tsx', refresh: true }) : null,
    react(),
    antdCss(),
    onlyTheSigns(),
    handoutFonts(),
    gzipped(),
    serviceWorker(),
  ],
  build: { chunkSizeWarningLimit: 1200 },
  test: { environment: 'jsdom', include: ['resources/js/**/*.test.{ts,tsx}', 'vite/*.test.ts'], testTimeout: 60_000, hookTimeout: 60_000 },
})
