import { generateSW } from 'workbox-build'
import type { Plugin } from 'vite'

/** Screens of teachers alone: no student's device needs them without a connection. */
const FOR_TEACHERS = ['Chart', 'Shapes', 'Hand', 'Band', 'Steps', 'Listen', 'Handout'].map((station) => `assets/${station}Station*`)

/**
 * What lets students practise without a connection: the app itself, the page it stands on, and what they were laid out last.
 * Laravel serves it at /sw.js, so that it governs the whole site.
 */
export const serviceWorker = (): Plugin => ({
  name: 'gravik-service-worker',
  apply: 'build',
  closeBundle: {
    sequential: true,
    order: 'post',
    handler: async () => {
      await generateSW({
        swDest: 'public/build/sw.js',
        globDirectory: 'public/build',
        globPatterns: ['assets/*.{js,css,woff2}'],
        globIgnores: FOR_TEACHERS,
        maximumFileSizeToCacheInBytes: 4 * 1024 * 1024,
        modifyURLPrefix: { '': '/build/' },
        // Names carry a hash of their contents.
        dontCacheBustURLsMatching: /-[\w-]{8}\.\w+$/,
        inlineWorkboxRuntime: true,
        sourcemap: false,
        clientsClaim: true,
        cleanupOutdatedCaches: true,
        runtimeCaching: [
          {
            // Every address is the same page.
            urlPattern: ({ request }) => request.mode === 'navigate',
            handler: 'NetworkFirst',
            options: { cacheName: 'gravik-page', networkTimeoutSeconds: 5, plugins: [{ cacheKeyWillBeUsed: async () => '/' }] },
          },
          {
            urlPattern: ({ url }) => url.pathname === '/api/day',
            handler: 'NetworkFirst',
            options: { cacheName: 'gravik-data', networkTimeoutSeconds: 5, matchOptions: { ignoreSearch: true } },
          },
          {
            urlPattern: ({ url }) => /^\/api\/(session|choices|calibrations\/[^/]+|breakdowns\/[^/]+\/practice)$/.test(url.pathname),
            handler: 'NetworkFirst',
            options: { cacheName: 'gravik-data', networkTimeoutSeconds: 5 },
          },
          {
            urlPattern: ({ url }) => ['/mark.svg', '/manifest.webmanifest'].includes(url.pathname),
            handler: 'StaleWhileRevalidate',
            options: { cacheName: 'gravik-page' },
          },
        ],
      })
    },
  },
})
