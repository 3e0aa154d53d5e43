/** Talks to the server: JSON, session cookie, CSRF token from its cookie. Every refusal becomes an ApiError with a message for a person. */
export class ApiError extends Error {
  constructor(
    message: string,
    readonly status: number,
    readonly body: Record<string, unknown>,
  ) {
    super(message)
  }
}

const OFFLINE = 'Gravik cannot be reached. Your work is kept in this browser; it is saved as soon as the connection is back.'
const UNEXPECTED = 'Something went wrong on our side. Your work is kept; try again in a moment.'

/** The session went, and with it the token that writes must carry. */
const TOKEN_EXPIRED = 419

const cookie = (name: string): string =>
  decodeURIComponent(document.cookie.split('; ').find((part) => part.startsWith(`${name}=`))?.slice(name.length + 1) ?? '')

export async function call<T>(method: string, path: string, body?: unknown, signal?: AbortSignal): Promise<T> {
  let response = await send(method, path, body, signal)
  if (response.status === TOKEN_EXPIRED) {
    // Nothing was done with it. Any answer brings a new token, and the call is made once more.
    await send('GET', 'session')
    response = await send(method, path, body, signal)
  }
  if (response.status === 204) return undefined as T
  const answer = (await response.json().catch(() => null)) as Record<string, unknown> | null
  if (!response.ok || answer === null) {
    const known = answer !== null && typeof answer.message === 'string' && response.status < 500
    throw new ApiError(known ? String(answer.message) : UNEXPECTED, response.status, answer ?? {})
  }
  return answer as T
}

async function send(method: string, path: string, body?: unknown, signal?: AbortSignal): Promise<Response> {
  const sound = body instanceof Blob
  try {
    return await fetch(`/api/${path}`, {
      method,
      signal: signal ?? null,
      credentials: 'same-origin',
      headers: {
        Accept: 'application/json',
        'X-XSRF-TOKEN': cookie('XSRF-TOKEN'),
        ...(body === undefined ? {} : { 'Content-Type': sound ? body.type : 'application/json' }),
      },
      ...(body === undefined ? {} : { body: sound ? body : JSON.stringify(body) }),
    })
  } catch (problem) {
    if (problem instanceof DOMException && problem.name === 'AbortError') throw problem
    throw new ApiError(OFFLINE, 0, {})
  }
}
