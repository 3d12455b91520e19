import createClient from 'openapi-fetch'
import { hearDay } from '../local/day'
import { heardOpening } from '../local/opening'
import { forgetAll, forgetSeen, hearSeen } from '../local/seen'
import type { components, paths } from './schema'
import { $t } from '../i18n'
import { language } from '../i18n/language'

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
  onRequest: ({ request }) => request.headers.set('Accept-Language', language),
  onResponse: ({ response }) => {
    if (!hearSeen(response)) hearDay(response)
    if (response.status === 401)
      void (response.headers.has('Fribbet-Withdrawn') ? forgetAll() : forgetSeen()).finally(() =>
        location.assign('/access/login'),
      )
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
    throw new Refusal(0, $t('api.fribbet_does_not_answer_is'), [])
  }
}

function refusalOf(got: { error?: unknown; response: Response }) {
  const problem = got.error as Partial<Schemas['Problem']> | undefined
  if (problem?.opening) heardOpening(problem.opening)
  return new Refusal(
    got.response.status,
    problem?.detail ?? $t('api.something_broke_in_fribbet'),
    problem?.errors ?? [],
  )
}
