import type { BreakdownDocument, Feel, PatternDocument } from './types'
import type { paths } from './openapi.gen'

export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE'

/** The paths that the description has for a method. */
export type PathFor<M extends Method> = { [P in keyof paths]: paths[P][Lowercase<M>] extends undefined ? never : P }[keyof paths]

type Operation<M extends Method, P extends PathFor<M>> = NonNullable<paths[P][Lowercase<M>]>

/** What the description leaves open, because the document's own schema has it. */
type Documented = { document: BreakdownDocument; blank: BreakdownDocument; feel: Feel; pattern: Pick<PatternDocument, 'ticks' | 'streams'> }
type Meant<T> = T extends (infer Entry)[]
  ? Meant<Entry>[]
  : T extends object
    ? { [K in keyof T]: K extends keyof Documented ? (T[K] extends Record<string, never> ? Documented[K] : Meant<T[K]>) : Meant<T[K]> }
    : T

type Json<T> = T extends { content: { 'application/json': infer Content } } ? Meant<Content> : undefined
type Success<R> = R extends { 200: infer Ok } ? Ok : R extends { 201: infer Made } ? Made : never

/** What the server answers. */
export type Answer<M extends Method, P extends PathFor<M>> = Operation<M, P> extends { responses: infer R } ? Json<Success<R>> : never

/** What is sent along: JSON as described, or a file where one is taken. */
export type Body<M extends Method, P extends PathFor<M>> =
  Operation<M, P> extends { requestBody: { content: infer Content } }
    ? | (Content extends { 'application/json': infer Sent } ? Meant<Sent> : never)
      | (Content extends { 'audio/wav': unknown } | { 'application/octet-stream': unknown } ? Blob : never)
    : undefined

type Query<M extends Method, P extends PathFor<M>> =
  Operation<M, P> extends { parameters: { query?: infer Asked } } ? NonNullable<Asked> : never
type Named<P extends string> = P extends `${string}{${infer Name}}${infer Rest}` ? Name | Named<Rest> : never

export type Asked<M extends Method, P extends PathFor<M>> = { signal?: AbortSignal | undefined } & (Named<P> extends never
  ? unknown
  : { path: Record<Named<P>, string | number> }) &
  (Body<M, P> extends undefined ? unknown : { body: Body<M, P> }) &
  (Query<M, P> extends never ? unknown : { query?: Query<M, P> })

/** Talks to the server: JSON, session cookie, CSRF token from its cookie. Every refusal becomes an ApiError with a message for a person. */
export class ApiError extends Error {
  constructor(
    message: string,
    readonly status: number,
    readonly body: Record<string, unknown>,
  ) {
    super(message)
  }

  /** What is wrong with which field. */
  get errors(): Record<string, string[]> {
    return (this.body.errors ?? {}) as Record<string, string[]>
  }
}

const OFFLINE = 'Gravik cannot be reached. Your work is kept in this browser; it is saved as soon as the connection is back.'
const UNEXPECTED = 'Something went wrong on our side. Your work is kept; try again in a moment.'

/** The session went, and with it the token that writes must carry. */
const TOKEN_EXPIRED = 419

const cookie = (name: string): string =>
  decodeURIComponent(
    document.cookie
      .split('; ')
      .find((part) => part.startsWith(`${name}=`))
      ?.slice(name.length + 1) ?? '',
  )

type Sent = { path?: Record<string, string | number>; query?: Record<string, unknown>; body?: unknown; signal?: AbortSignal | undefined }

/** The paths that work something out and keep nothing. */
export type Computed = Extract<PathFor<'POST'>, `/api/compute/${string}`>

/** The paths whose answer is a page of a list. */
export type Paged = {
  [P in PathFor<'GET'>]: Answer<'GET', P> extends { items: unknown[]; next: string | null } ? P : never
}[PathFor<'GET'>]

// The server answers as it is described (its own tests say so): here, and nowhere else, its JSON gets a type.
export const call = <M extends Method, P extends PathFor<M>>(method: M, path: P, asked: Asked<M, P>) =>
  request(method, path, asked as Sent) as Promise<Answer<M, P>>

export const compute = <P extends Computed>(path: P, body: Body<'POST', P>, signal?: AbortSignal) =>
  request('POST', path, { body, signal }) as Promise<Answer<'POST', P>>

export const page = <P extends Paged>(path: P, names: Record<string, string>, query: Record<string, unknown>, signal: AbortSignal) =>
  request('GET', path, { path: names, query, signal }) as Promise<Answer<'GET', P>>

async function request(method: Method, path: string, { path: names = {}, query = {}, body, signal }: Sent): Promise<unknown> {
  const address = addressOf(path, names, query)
  let response = await send(method, address, body, signal)
  if (response.status === TOKEN_EXPIRED) {
    // Nothing was done with it. Any answer brings a new token, and the call is made once more.
    await send('GET', '/api/session')
    response = await send(method, address, body, signal)
  }
  if (response.status === 204) return undefined
  const answer = (await response.json().catch(() => null)) as Record<string, unknown> | null
  if (!response.ok || answer === null) {
    const known = answer !== null && typeof answer.message === 'string' && response.status < 500
    throw new ApiError(known ? String(answer.message) : UNEXPECTED, response.status, answer ?? {})
  }
  return answer
}

function addressOf(path: string, names: Record<string, string | number>, query: Record<string, unknown>): string {
  const named = path.replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(String(names[name] ?? '')))
  const told = Object.entries(query).filter(([, value]) => value !== undefined && value !== null)
  return told.length === 0 ? named : `${named}?${new URLSearchParams(told.map(([name, value]) => [name, String(value)]))}`
}

async function send(method: string, address: string, body?: unknown, signal?: AbortSignal): Promise<Response> {
  const sound = body instanceof Blob
  try {
    return await fetch(address, {
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
