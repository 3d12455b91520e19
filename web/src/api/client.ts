import createClient from 'openapi-fetch'
import { hearDay } from '../local/day'
import { heardOpening } from '../local/opening'
import { forgetAll, forgetSeen, hearSeen } from '../local/seen'
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
client.use({
  onResponse: ({ response }) => {
    if (!hearSeen(response)) hearDay(response)
    if (response.status === 401) void (response.headers.has('Fribbet-Withdrawn') ? forgetAll() : forgetSeen()).finally(() => location.assign('/access/login'))
  },
})

type Call<T> = Promise<{ data?: T; error?: unknown; response: Response }>

/** Unwraps an answer, or throws the Refusal that it is. */
export async function answered<T>(call: Call<T>): Promise<T> {
  const got = await reached(call)
  if (got.response.ok) return got.data as T // nothing, where nothing is answered
  throw refusalOf(got)
}

async function reached<T>(call: Call<T>) {
  try {
    return await call
  } catch {
    throw new Refusal(0, 'Fribbet does not answer. Is it still running?', [])
  }
}

function refusalOf(got: { error?: unknown; response: Response }) {
  const problem = got.error as Partial<Schemas['Problem']> | undefined
  if (problem?.opening) heardOpening(problem.opening)
  return new Refusal(got.response.status, problem?.detail ?? 'Something broke in Fribbet.', problem?.errors ?? [])
}
