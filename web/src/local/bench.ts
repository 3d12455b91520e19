import { useIntervalFn } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue'
import { answered, client, Refusal, type Schemas } from '../api/client'
import { now } from './day'
import { useAwake } from './awake'
import { kept } from './kept'
import { atBench, send } from './carry'
import { asides, forgetAside, isTap, put, waiting, type Aside, type Tap, type Waiting } from './outbox'
import { $t } from '../i18n'
import { over } from './offline'

/** What is told; with an id of its own where another event names it. */
export type Told = Omit<Schemas['Event'], 'id' | 'at'> & { id?: string }

/** How often a sitting is read though the stream holds: it may hold and say nothing, ms. */
const rarely = 30_000

const stamped = (told: Told) => ({ ...told, id: told.id ?? crypto.randomUUID(), at: now().toISOString() })

/** Begins a sitting: its first event waits here until the server has it. */
export async function beginSitting(dog: string, ...all: Told[]) {
  const begun = (await waiting()).find(w => w.dog === dog && isTap(w) && w.event.kind === 'started')
  if (begun) return begun.sitting // while the server was away: not a second one
  const sitting = crypto.randomUUID()
  await put(...all.map(told => ({ dog, sitting, event: stamped(told) })))
  return sitting
}

/** Tells a sitting from elsewhere than its bench: it waits here until the server has it, as every tap does. */
export const tellBench = (dog: string, sitting: string, ...all: Told[]) =>
  put(...all.map(told => ({ dog, sitting, event: stamped(told) })))

/**
 * A sitting under the hands. Every tap is an event that is kept in this browser first and then
 * sent, in order, once: until the server has it, the screen shows it over the server's last answer.
 */
export function useBench(dog: string, sitting: string) {
  const path = { params: { path: { dog_id: dog, sitting_id: sitting } } }
  const last = kept<Schemas['Bench']>(`fribbet-bench-${sitting}`)
  const answer = shallowRef<Schemas['Bench'] | null>(last.read())
  const pending = shallowRef<Tap[]>([])
  const aside = shallowRef<(Aside & Tap)[]>([])
  const refusal = ref<Error | null>(null)
  const unreachable = ref(false)
  /** Presses that are on their way into the browser's own database: a second one must not overtake them. */
  const telling = ref(0)
  let sending: Promise<void> | undefined
  /** Events that the last answer holds: they are shown with it, not over it once more, until the browser drops them. */
  const taken = new Set<string>()
  const wait = (all: Waiting[]) => (pending.value = all.filter(isTap).filter(w => !taken.has(w.event.id)))

  function take(bench: Schemas['Bench']) {
    // a tap’s answer leaves them out
    const { rank_before = answer.value?.rank_before, rank_after = answer.value?.rank_after } = bench
    answer.value = { ...bench, rank_before, rank_after }
    last.keep(answer.value)
    unreachable.value = false
  }

  /** Tells what one press says: all of it is kept before any of it is sent. */
  async function tell(...all: Told[]) {
    refusal.value = null
    telling.value++
    try {
      await put(...all.map(told => ({ dog, sitting, event: stamped(told) })))
      wait(await waiting(sitting))
    } finally {
      telling.value--
    }
    void flush()
  }

  /** Sends what waits, oldest first; taps that come meanwhile go with the next turn. */
  function flush(): Promise<void> {
    sending ??= carry().finally(() => (sending = undefined))
    return sending
  }
  async function carry() {
    const halt = await send(dog, sitting, wait, (bench, batch) => {
      batch.forEach(w => taken.add(w.event.id))
      wait(pending.value)
      take(bench)
    })
    aside.value = (await asides(sitting)).filter(isTap)
    unreachable.value = halt?.away ?? false
    if (halt && !halt.away) refusal.value = halt.error // such as another book at this address: everything stays
  }
  /** Reads the sitting, so that taps in another browser show here too. */
  async function read() {
    await flush()
    if (pending.value.length > 0) return
    try {
      take(await answered(client.GET('/api/dogs/{dog_id}/sittings/{sitting_id}/bench', path)))
    } catch (e) {
      if (e instanceof Refusal && e.unreachable) unreachable.value = true
      else if (e instanceof Refusal) refusal.value = e
    }
  }
  /** Tells what was put aside again, as sure, or forgets it. */
  async function settleAside(one: Aside & Tap, sure: boolean) {
    await forgetAside(one.order)
    aside.value = (await asides(sitting)).filter(isTap)
    if (sure) await tell({ ...one.event, sure: true })
  }
  /** What was put aside is known: a bench that has some is not left by itself. */
  const looked = ref(false)
  void asides(sitting).then(all => {
    aside.value = all.filter(isTap)
    looked.value = true
  })
  atBench.add(sitting)
  void waiting(sitting).then(w => {
    wait(w)
    return read()
  })
  // Another device's taps are heard of at once; where the stream does not hold, they are asked for.
  const changes = new EventSource(`/api/dogs/${dog}/sittings/${sitting}/changes`)
  let heard = Date.now()
  const hear = () => {
    heard = Date.now()
    void read()
  }
  changes.onmessage = hear
  changes.onopen = () => {
    if (Date.now() - heard > 1000) hear()
  } // held again after it broke
  useIntervalFn(() => {
    if (changes.readyState === EventSource.OPEN && pending.value.length === 0 && Date.now() - heard < rarely) return
    heard = Date.now()
    void read()
  }, 3000)
  useAwake()
  onBeforeUnmount(() => {
    changes.close()
    atBench.delete(sitting)
  })

  const bench = computed(() =>
    answer.value && pending.value.length > 0
      ? over(
          answer.value,
          pending.value.map(w => w.event),
          $t('local.fribbet_does_not_answer_thin'),
        )
      : answer.value,
  )
  /** Nails of which something was told that the server has not reckoned with yet. */
  const unanswered = computed(() => new Set(pending.value.flatMap(w => (w.event.nail ? [w.event.nail] : []))))
  return {
    bench,
    pending,
    telling,
    aside,
    looked,
    unanswered,
    refusal,
    unreachable,
    tell,
    settleAside,
    flush,
    forget: last.drop,
  }
}
