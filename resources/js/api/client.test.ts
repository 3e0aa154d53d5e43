import { afterEach, expect, it, vi } from 'vitest'
import { ApiError, call } from './client'

const answering = (status: number, body: string) =>
  vi.stubGlobal(
    'fetch',
    vi.fn(async () => new Response(status === 204 ? null : body, { status })),
  )

const refusal = async (): Promise<ApiError> => {
  try {
    await call('GET', '/api/session', {})
  } catch (problem) {
    if (problem instanceof ApiError) return problem
  }
  throw new Error('it was not refused')
}

afterEach(() => void vi.unstubAllGlobals())

it('sends JSON with the token of its cookie', async () => {
  document.cookie = 'XSRF-TOKEN=abc%3D'
  answering(200, '{"ok":true}')
  expect(await call('POST', '/api/session', { body: { email: 'a', password: 'b' } })).toEqual({ ok: true })
  const [address, options] = vi.mocked(fetch).mock.calls[0] ?? []
  expect(address).toBe('/api/session')
  expect(options).toMatchObject({
    method: 'POST',
    credentials: 'same-origin',
    body: '{"email":"a","password":"b"}',
    headers: { 'X-XSRF-TOKEN': 'abc=', 'Content-Type': 'application/json' },
  })
})

it('has nothing to say where the server says nothing', async () => {
  answering(204, '')
  expect(await call('DELETE', '/api/breakdowns/{id}', { path: { id: '1' } })).toBeUndefined()
})

it('hands on what the server says to a person', async () => {
  answering(422, '{"message":"Choose 20 to 400.","errors":{},"at":"/tempo"}')
  expect(await refusal()).toMatchObject({ message: 'Choose 20 to 400.', status: 422, body: { at: '/tempo' } })
})

it.each([
  [500, '{"message":"SQLSTATE[HY000]"}'],
  [502, '<html>Bad gateway</html>'],
  [200, '<html>not JSON</html>'],
])('never shows what only a developer understands: %i', async (status, body) => {
  answering(status, body)
  expect((await refusal()).message).toBe('Something went wrong on our side. Your work is kept; try again in a moment.')
})

it('says that the server cannot be reached', async () => {
  vi.stubGlobal(
    'fetch',
    vi.fn(() => Promise.reject(new TypeError('Failed to fetch'))),
  )
  expect(await refusal()).toMatchObject({ status: 0, message: expect.stringContaining('cannot be reached') })
})

it('lets a question that nobody waits for any more go quietly', async () => {
  vi.stubGlobal(
    'fetch',
    vi.fn(() => Promise.reject(new DOMException('gone', 'AbortError'))),
  )
  await expect(call('GET', '/api/session', {})).rejects.toMatchObject({ name: 'AbortError' })
})

it('fetches a new token when the old one is gone, and tries once more', async () => {
  const answers = [new Response('{}', { status: 419 }), new Response('{}', { status: 401 }), new Response('{"ok":true}', { status: 200 })]
  vi.stubGlobal(
    'fetch',
    vi.fn(async () => answers.shift()),
  )
  expect(await call('PUT', '/api/students/{student}/hand', { path: { student: 1 }, body: { hand: 'usual' } })).toEqual({ ok: true })
  expect(vi.mocked(fetch).mock.calls.map(([address]) => address)).toEqual(['/api/students/1/hand', '/api/session', '/api/students/1/hand'])
})

it('writes names into the path and questions behind it, and leaves out what is not asked', async () => {
  answering(200, '[]')
  await call('GET', '/api/grips', { query: { symbol: 'E♭7', tuning: 'standard', capo: 0 } })
  await call('GET', '/api/breakdowns/{id}/takes', { path: { id: 'a/b' }, query: { cursor: undefined } })
  expect(vi.mocked(fetch).mock.calls.map(([address]) => address)).toEqual([
    '/api/grips?symbol=E%E2%99%AD7&tuning=standard&capo=0',
    '/api/breakdowns/a%2Fb/takes',
  ])
})
