import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { toValue, type MaybeRefOrGetter } from 'vue'
import { offerBack, offerUndo } from '../local/undo'
import { answered, client, type Schemas } from './client'
import { $t } from '../i18n'

/** A day of the round; asked again every minute, since the day runs on. */
export const useRoundDay = (on: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['round', 'day', on],
    refetchInterval: 60_000,
    placeholderData: (before: Schemas['RoundDay'] | undefined) => before,
    queryFn: () => answered(client.GET('/api/round/days/{on}', { params: { path: { on: toValue(on) } } })),
  })
export const useCalls = (from: MaybeRefOrGetter<string | undefined>) =>
  useInfiniteQuery({
    queryKey: ['round', 'calls', from],
    queryFn: ({ pageParam }) =>
      answered(client.GET('/api/round/calls', { params: { query: { from: toValue(from), offset: pageParam } } })),
    initialPageParam: 0,
    getNextPageParam: (last, pages) => {
      const told = pages.reduce((sum, page) => sum + page.calls.length, 0)
      return told < last.all && last.calls.length > 0 ? told : undefined
    },
  })
export const useDogVisits = (dogId: MaybeRefOrGetter<string>, enabled: MaybeRefOrGetter<boolean> = true) =>
  useQuery({
    queryKey: ['round', 'dog', dogId],
    enabled,
    queryFn: () => answered(client.GET('/api/dogs/{dog_id}/visits', { params: { path: { dog_id: toValue(dogId) } } })),
  })
export const useOwners = (search: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['owners', search],
    queryFn: () => answered(client.GET('/api/owners', { params: { query: { search: toValue(search) } } })),
  })
export const useOwner = (id: MaybeRefOrGetter<string>, enabled: MaybeRefOrGetter<boolean> = true) =>
  useQuery({
    queryKey: ['owner', id],
    enabled,
    queryFn: () => answered(client.GET('/api/owners/{owner_id}', { params: { path: { owner_id: toValue(id) } } })),
  })
export const useWorkingWeek = () =>
  useQuery({ queryKey: ['working-week'], queryFn: () => answered(client.GET('/api/round/week')) })

export type Placed = Schemas['VisitInput'] & { id: string }
const put = ({ id, ...body }: Placed) =>
  answered(client.PUT('/api/round/visits/{visit_id}', { params: { path: { visit_id: id } }, body }))

/** What a place would break, before it is given; empty where nothing is. */
export const tryVisit = async (visit: Placed) => (await put({ ...visit, ask: true })).breaks ?? ''

/** Every change of the round changes days, calls, offers and owners alike. */
function useRoundChange<T, R>(change: (what: T) => Promise<R>, took?: (what: T) => void) {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: change,
    onSuccess: (_, what) => {
      took?.(what)
      return cache.invalidateQueries({
        predicate: q => ['round', 'owners', 'owner', 'working-week'].includes(String(q.queryKey[0])),
      })
    },
  })
}

export const findOnTelephone = (search: string) =>
  answered(client.GET('/api/round/find', { params: { query: { search } } }))
export const useRepeatVisit = () =>
  useRoundChange(({ id, ...body }: Schemas['RepeatInput'] & { id: string }) =>
    answered(client.POST('/api/round/visits/{visit_id}/repeat', { params: { path: { visit_id: id } }, body })),
  )
export const useKeepVisit = () => useRoundChange(put)

/** A visit as it stood, put back where it was by one press for a minute. */
export const offerVisitBack = (words: string, was: Schemas['Visit'], now: Schemas['Visit']) =>
  offerUndo(words, () =>
    put({
      id: was.id,
      dog_id: was.dog.dog_id,
      on: was.on,
      start: was.start,
      minutes: was.minutes,
      note: was.note,
      state: was.state,
      off_by: was.off_by,
      sequence: now.sequence,
      anyway: true,
    }),
  )

/** Who waits for a place on a full day. */
export const useWaiting = () =>
  useQuery({
    queryKey: ['round', 'waiting'],
    refetchInterval: 60_000,
    queryFn: () => answered(client.GET('/api/round/waiting')),
  })
const waits = (dogId: string, on: string) => ({ params: { path: { dog_id: dogId, on } } })
const wait = ({ dogId, on, note }: { dogId: string; on: string; note?: string }) =>
  answered(client.PUT('/api/dogs/{dog_id}/waits/{on}', { ...waits(dogId, on), body: { note } }))
export const useWait = () => useRoundChange(wait)
export const useWaitNoMore = () =>
  useRoundChange(
    ({ dogId, on }: { dogId: string; on: string; note?: string }) =>
      answered(client.DELETE('/api/dogs/{dog_id}/waits/{on}', waits(dogId, on))),
    was => offerUndo($t('api.it_waits_no_more'), () => wait(was)),
  )
export const useNotNow = () =>
  useRoundChange(
    ({ dogId, weeks }: { dogId: string; weeks: number }) =>
      answered(client.PUT('/api/dogs/{dog_id}/not-now', { params: { path: { dog_id: dogId } }, body: { weeks } })),
    ({ dogId, weeks }) =>
      weeks > 0 &&
      offerUndo($t('api.asked_again_in', { weeks: weeks === 1 ? $t('api.a_week') : $t('api.weeks', { weeks }) }), () =>
        answered(client.PUT('/api/dogs/{dog_id}/not-now', { params: { path: { dog_id: dogId } }, body: { weeks: 0 } })),
      ),
  )
export const useKeepOwner = () =>
  useRoundChange(({ id, ...body }: Schemas['OwnerInput'] & { id: string }) =>
    answered(client.PUT('/api/owners/{owner_id}', { params: { path: { owner_id: id } }, body })),
  )
export const useRemoveOwner = () =>
  useRoundChange(
    (id: string) => answered(client.DELETE('/api/owners/{owner_id}', { params: { path: { owner_id: id } } })),
    id => offerBack($t('api.the_owner_is_out_of'), 'owner', id),
  )
export const useSetOwner = () =>
  useRoundChange(({ dogId, ownerId }: { dogId: string; ownerId?: string }) =>
    answered(
      client.PUT('/api/dogs/{dog_id}/owner', { params: { path: { dog_id: dogId } }, body: { owner_id: ownerId } }),
    ),
  )
export const useChangeWorkingWeek = () =>
  useRoundChange((body: Schemas['WorkingWeek']) => answered(client.PUT('/api/round/week', { body })))
