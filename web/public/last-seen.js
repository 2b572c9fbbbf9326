// Keeps on this device what was seen last, so that the page opens while the program does not answer. Whatever can be asked is
// asked; only what gets no answer is taken from here, and says when it was seen. Nothing is stored by it.
const SEEN = 'last-seen'
const SEEN_AT = 'X-Wendrak-Seen'
const MOST_KEPT = 500
const LARGEST = 500_000
// What is no view of a page: streams, backups, files, pictures in full size, and what says that the program is up.
const NOT_KEPT = /^\/(health|reference|openapi|api\/(changes\/stream|backups|.*\/file$|.*\/photos))/
// Asked with a body, and storing nothing.
const ASKED = /^\/api\/(evaluation|machines\/\d+\/choice\/[^/]+)$/

self.addEventListener('install', () => self.skipWaiting())
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()))
// The first page had come before there was anybody to keep it: it says what it read.
self.addEventListener('message', (event) => event.waitUntil(keepAgain(event.data)))
self.addEventListener('fetch', (event) => {
  const { request } = event
  const { origin, pathname } = new URL(request.url)
  if (origin !== location.origin || NOT_KEPT.test(pathname)) return
  // What is fetched by its address alone, a calendar or a picture, is no page of the program.
  if (request.mode === 'navigate' && !/^\/api\/|\.\w+$/.test(pathname)) event.respondWith(shell(event))
  else if (request.mode === 'navigate') return
  else if (pathname.startsWith('/assets/')) event.respondWith(asset(event))
  else if (request.method === 'GET') event.respondWith(asked(event, () => request.url))
  else if (request.method === 'POST' && ASKED.test(pathname)) {
    const body = request.clone().text()
    event.respondWith(asked(event, async () => `${request.url}?${await digest(await body)}`))
  }
})

/** Whatever view is asked for, it is one page. */
const shell = (event) => asked(event, () => '/', startAnewIfRenewed)

async function asset(event) {
  const { request } = event
  const known = await (await caches.open(SEEN)).match(request.url)
  if (known) return known
  const answer = await fetch(request)
  event.waitUntil(keep(request.url, answer.clone()))
  return answer
}

async function asked(event, keyOf, before) {
  try {
    const answer = await fetch(event.request)
    const copy = answer.clone()
    event.waitUntil(
      (async () => {
        await before?.(copy.clone())
        await keep(await keyOf(), copy)
      })(),
    )
    return answer
  } catch (error) {
    const known = await (await caches.open(SEEN)).match(await keyOf())
    if (known) return known
    throw error
  }
}

async function keep(key, answer) {
  const body = answer.ok && answer.type === 'basic' ? await answer.blob() : undefined
  if (!body || body.size > LARGEST) return
  const headers = new Headers({
    'Content-Type': answer.headers.get('Content-Type') ?? '',
    [SEEN_AT]: new Date().toISOString(),
  })
  // What the page itself must obey stands on the page.
  const policy = answer.headers.get('Content-Security-Policy')
  if (policy) headers.set('Content-Security-Policy', policy)
  const cache = await caches.open(SEEN)
  await cache.put(key, new Response(body, { headers }))
  const keys = await cache.keys()
  const data = keys.filter((k) => new URL(k.url).pathname.startsWith('/api/'))
  await Promise.all(data.slice(0, Math.max(0, data.length - MOST_KEPT)).map((k) => cache.delete(k)))
}

/** What an earlier build of the page had read, a renewed one would not understand. */
async function startAnewIfRenewed(page) {
  const known = await (await caches.open(SEEN)).match('/')
  if (known && (await known.text()) !== (await page.text())) await caches.delete(SEEN)
}

async function keepAgain(urls) {
  for (const url of ['/', ...urls]) {
    const { origin, pathname } = new URL(url, location.origin)
    if (origin !== location.origin || NOT_KEPT.test(pathname)) continue
    await fetch(url).then(
      (answer) => keep(url, answer),
      () => {},
    )
  }
}

async function digest(text) {
  const bytes = new Uint8Array(await crypto.subtle.digest('SHA-256', new TextEncoder().encode(text)))
  return Array.from(bytes, (b) => b.toString(16).padStart(2, '0')).join('')
}
