import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { toValue, type MaybeRefOrGetter } from 'vue'
import { answered, client, type Schemas } from './client'

/** A day of the round; asked again every minute, since the day runs on. */
export const useRoundDay = (on: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['round', 'day', on], refetchInterval: 60_000, placeholderData: (before: Schemas['RoundDay'] | undefined) => before,
    queryFn: () => answered(client.GET('/api/round/days/{on}', { params: { path: { on: toValue(on) } } })),
  })
export const useCalls = (from: MaybeRefOrGetter<string | undefined>) =>
  useInfiniteQuery({
    queryKey: ['round', 'calls', from],
    queryFn: ({ pageParam }) => answered(client.GET('/api/round/calls', { params: { query: { from: toValue(from), offset: pageParam } } })),
    initialPageParam: 0,
    getNextPageParam: (last, pages) => {
      const told = pages.reduce((sum, page) => sum + page.calls.length, 0)
      return told < last.all && last.calls.length > 0 ? told : undefined
    },
  })
export const useDogVisits = (dogId: MaybeRefOrGetter<string>, enabled: MaybeRefOrGetter<boolean> = true) =>
  useQuery({ queryKey: ['round', 'dog', dogId], enabled, queryFn: () => answered(client.GET('/api/dogs/{dog_id}/visits', { params: { path: { dog_id: toValue(dogId) } } })) })
export const useOwners = (search: MaybeRefOrGetter<string>) =>
  useQuery({ queryKey: ['owners', search], queryFn: () => answered(client.GET('/api/owners', { params: { query: { search: toValue(search) } } })) })
export const useOwner = (id: MaybeRefOrGetter<string>, enabled: MaybeRefOrGetter<boolean> = true) =>
  useQuery({ queryKey: ['owner', id], enabled, queryFn: () => answered(client.GET('/api/owners/{owner_id}', { params: { path: { owner_id: toValue(id) } } })) })
export const useWorkingWeek = () => useQuery({ queryKey: ['working-week'], queryFn: () => answered(client.GET('/api/round/week')) })

export type Placed = Schemas['VisitInput'] & { id: string }
const put = ({ id, ...body }: Placed) => answered(client.PUT('/api/round/visits/{visit_id}', { params: { path: { visit_id: id } }, body }))

/** What a place would break, before it is given; empty where nothing is. */
export const tryVisit = async (visit: Placed) => (await put({ ...visit, ask: true })).breaks ?? ''

/** Every change of the round changes days, calls, offers and owners alike. */
function useRoundChange<T, R>(change: (what: T) => Promise<R>) {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: change,
    onSuccess: () => cache.invalidateQueries({ predicate: (q) => ['round', 'owners', 'owner', 'working-week'].includes(String(q.queryKey[0])) }),
  })
}

export const findOnTelephone = (search: string) => answered(client.GET('/api/round/find', { params: { query: { search } } }))
export const useRepeatVisit = () =>
  useRoundChange(({ id, ...body }: Schemas['RepeatInput'] & { id: string }) => answered(client.POST('/api/round/visits/{visit_id}/repeat', { params: { path: { visit_id: id } }, body })))
export const useKeepVisit = () => useRoundChange(put)
export const useNotNow = () =>
  useRoundChange(({ dogId, weeks }: { dogId: string; weeks: number }) => answered(client.PUT('/api/dogs/{dog_id}/not-now', { params: { path: { dog_id: dogId } }, body: { weeks } })))
export const useKeepOwner = () =>
  useRoundChange(({ id, ...body }: Schemas['OwnerInput'] & { id: string }) => answered(client.PUT('/api/owners/{owner_id}', { params: { path: { owner_id: id } }, body })))
export const useRemoveOwner = () => useRoundChange((id: string) => answered(client.DELETE('/api/owners/{owner_id}', { params: { path: { owner_id: id } } })))
export const useSetOwner = () =>
  useRoundChange(({ dogId, ownerId }: { dogId: string; ownerId?: string }) => answered(client.PUT('/api/dogs/{dog_id}/owner', { params: { path: { dog_id: dogId } }, body: { owner_id: ownerId } })))
export const useChangeWorkingWeek = () => useRoundChange((body: Schemas['WorkingWeek']) => answered(client.PUT('/api/round/week', { body })))
