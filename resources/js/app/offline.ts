/** What a student's device keeps for when there is no connection: the app, and what was laid out last. */
const DATA = 'gravik-data'
const PAGE = 'gravik-page'

/** Kept from now on: the worker governs this page, and the page itself lies beside it. */
export async function keepForOffline(): Promise<void> {
  if (!('serviceWorker' in navigator)) return
  const governs = new Promise<unknown>((resolve) =>
    navigator.serviceWorker.controller === null
      ? navigator.serviceWorker.addEventListener('controllerchange', resolve, { once: true })
      : resolve(null),
  )
  await navigator.serviceWorker.register('/sw.js')
  await governs
  const page = await caches.open(PAGE)
  if ((await page.match('/')) === undefined) await page.add('/')
}

/** Whoever uses this browser next finds nothing of whoever used it before. */
export async function forgetWhatIsKept(): Promise<void> {
  if ('caches' in window) await caches.delete(DATA).catch(() => false)
}
