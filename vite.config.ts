import react from '@vitejs/plugin-react'
import laravel from 'laravel-vite-plugin'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  plugins: [laravel({ input: 'resources/js/main.tsx', refresh: true }), react()],
  build: { chunkSizeWarningLimit: 1200 },
  test: { environment: 'jsdom', include: ['resources/js/**/*.test.{ts,tsx}'] },
})
