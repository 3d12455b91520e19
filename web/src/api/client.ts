import createClient from 'openapi-fetch'
import type { components, paths } from './schema'

export type Schemas = components['schemas']

/** What the server said was wrong, or that it said nothing. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    detail: string,
    readonly errors: Schemas['FieldError'][],
  ) {
    super(detail)
  }

  /** The server was not reached: nothing is known of what it did. */
  get unreachable() {
    return this.status === 0
  }
}

export const client = createClient<paths>({ baseUrl: '/' })

/** Unwraps an answer, or throws the Refusal that it is. */
export async function answered<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  let got
  try {
    got = await call
  } catch {
    throw new Refusal(0, 'Fribbet does not answer. Is it still running?', [])
  }
  if (got.data !== undefined) return got.data
  const problem = got.error as Partial<Schemas['Problem']> | undefined
  throw new Refusal(got.response.status, problem?.detail ?? 'Something broke in Fribbet.', problem?.errors ?? [])
}
