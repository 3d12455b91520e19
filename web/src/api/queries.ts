import { keepPreviousData, useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { toValue, type MaybeRefOrGetter } from 'vue'
import { save } from '../local/carry'
import { offerBack } from '../local/undo'
import { answered, client, type Schemas } from './client'
import { $t } from '../i18n'

const path = (dogId: string) => ({ params: { path: { dog_id: dogId } } })

export const useSettings = () =>
  useQuery({ queryKey: ['settings'], queryFn: () => answered(client.GET('/api/settings')), staleTime: Infinity })

export const useHouse = () =>
  useQuery({ queryKey: ['house'], queryFn: () => answered(client.GET('/api/house')), refetchInterval: 5000 })
export const useHouseChange = () => {
  const cache = useQueryClient()
  const onSuccess = (house: Schemas['House']) => cache.setQueryData(['house'], house)
  const device = (id: string) => ({ params: { path: { device_id: id } } })
  return {
    name: useMutation({
      mutationFn: ({ id, ...body }: Schemas['DeviceInput'] & { id: string }) =>
        answered(client.PATCH('/api/house/devices/{device_id}', { ...device(id), body })),
      onSuccess,
    }),
    withdraw: useMutation({
      mutationFn: ({ id, renew }: { id: string; renew: boolean }) =>
        answered(
          client.DELETE('/api/house/devices/{device_id}', { params: { ...device(id).params, query: { renew } } }),
        ),
      onSuccess,
    }),
    code: useMutation({ mutationFn: () => answered(client.POST('/api/house/code')) }),
  }
}

export const useBackups = () => useQuery({ queryKey: ['backups'], queryFn: () => answered(client.GET('/api/backups')) })

export function useMakeBackup() {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: () => answered(client.POST('/api/backups')),
    onSuccess: all => cache.setQueryData(['backups'], all),
  })
}

/** Once it is answered the book is swapped; whatever is asked next waits until that is done. */
export function useRestore() {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: (name: string) => answered(client.POST('/api/backups/{name}/restore', { params: { path: { name } } })),
    onSuccess: () => cache.invalidateQueries({ queryKey: ['settings'] }),
  })
}

/** The due list, a page after the other; while the server works dates out again, it is asked again. */
export const useDue = (search: MaybeRefOrGetter<string>) =>
  useInfiniteQuery({
    queryKey: ['due', search],
    queryFn: ({ pageParam }) =>
      answered(client.GET('/api/due', { params: { query: { search: toValue(search), offset: pageParam } } })),
    initialPageParam: 0,
    getNextPageParam: (last, pages) => {
      const told = pages.reduce((sum, page) => sum + page.dogs.length, 0)
      return told < last.found && last.dogs.length > 0 ? told : undefined
    },
    placeholderData: keepPreviousData,
    refetchInterval: query => (query.state.data?.pages[0]?.recount ? 400 : false),
  })

/** The dates that a change of the rules moved were seen: they are said no more. */
export function useSeenMoved() {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: async () => answered(client.DELETE('/api/due/moved')),
    onSuccess: () => cache.invalidateQueries({ queryKey: ['due'] }),
  })
}

/** Dogs with a sitting under way. */
export const useUnderWay = () =>
  useQuery({
    queryKey: ['due', 'open'],
    queryFn: () => answered(client.GET('/api/due', { params: { query: { open: true, limit: 1 } } })),
  })

export const useDog = (dogId: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['dog', dogId],
    queryFn: () => answered(client.GET('/api/dogs/{dog_id}', path(toValue(dogId)))),
  })

/** The plan is read once for a sitting: it must not change under the hands that work by it. */
export const usePlan = (dogId: MaybeRefOrGetter<string>, helper: MaybeRefOrGetter<boolean>) =>
  useQuery({
    queryKey: ['plan', dogId, helper],
    queryFn: () =>
      answered(
        client.GET('/api/dogs/{dog_id}/plan', {
          params: { path: { dog_id: toValue(dogId) }, query: { helper: toValue(helper) } },
        }),
      ),
    staleTime: Infinity,
    gcTime: 0,
    placeholderData: keepPreviousData,
  })

export const useAdvice = (
  dogId: MaybeRefOrGetter<string>,
  code: MaybeRefOrGetter<Schemas['NailCode']>,
  purpose: MaybeRefOrGetter<Schemas['Purpose']>,
) =>
  useQuery({
    queryKey: ['advice', dogId, code, purpose],
    queryFn: () =>
      answered(
        client.GET('/api/dogs/{dog_id}/nails/{code}/advice', {
          params: { path: { dog_id: toValue(dogId), code: toValue(code) }, query: { purpose: toValue(purpose) } },
        }),
      ),
    placeholderData: keepPreviousData,
  })

export function useSaveSettings() {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: (body: Schemas['Choices']) => answered(client.PUT('/api/settings', { body })),
    onSuccess: settings => {
      cache.setQueryData(['settings'], settings)
      return cache.invalidateQueries({ predicate: q => q.queryKey[0] !== 'settings' })
    },
  })
}

export function useAddDog() {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: (body: Schemas['DogInput']) => answered(client.POST('/api/dogs', { body })),
    onSuccess: () => cache.invalidateQueries({ queryKey: ['due'] }),
  })
}

export function useChangeDog(dogId: MaybeRefOrGetter<string>) {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: (body: Schemas['DogInput']) =>
      answered(client.PATCH('/api/dogs/{dog_id}', { ...path(toValue(dogId)), body })),
    onSuccess: () => cache.invalidateQueries(),
  })
}

export function useRecordSitting(dogId: MaybeRefOrGetter<string>) {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: (body: Schemas['SittingInput']) => save({ dog: toValue(dogId), sitting: body.id, tally: body }),
    onSuccess: view => {
      cache.setQueryData(['dog', toValue(dogId)], view)
      return cache.invalidateQueries({
        predicate: q =>
          ['due', 'forecast', 'section', 'plan', 'kit', 'history', 'rhythms'].includes(String(q.queryKey[0])),
      })
    },
  })
}

export function useWithdrawSitting(dogId: MaybeRefOrGetter<string>) {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: (sittingId: string) =>
      answered(
        client.DELETE('/api/dogs/{dog_id}/sittings/{sitting_id}', {
          params: { path: { dog_id: toValue(dogId), sitting_id: sittingId } },
        }),
      ),
    onSuccess: (view, id) => {
      offerBack($t('api.the_trim_is_deleted'), 'sitting', id)
      cache.setQueryData(['dog', toValue(dogId)], view)
      return cache.invalidateQueries({
        predicate: q =>
          ['due', 'forecast', 'section', 'plan', 'kit', 'history', 'rhythms'].includes(String(q.queryKey[0])),
      })
    },
  })
}

/** A sitting with what was done to each nail. */
/** What the owner takes home of a sitting. */
export const useCard = (dogId: MaybeRefOrGetter<string>, sittingId: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['dog', dogId, 'card', sittingId],
    queryFn: () =>
      answered(
        client.GET('/api/dogs/{dog_id}/sittings/{sitting_id}/card', {
          params: { path: { dog_id: toValue(dogId), sitting_id: toValue(sittingId) } },
        }),
      ),
  })
export const useOpenCard = (dogId: MaybeRefOrGetter<string>, sittingId: MaybeRefOrGetter<string>) => {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: (open: boolean) =>
      answered(
        client.PUT('/api/dogs/{dog_id}/sittings/{sitting_id}/card', {
          params: { path: { dog_id: toValue(dogId), sitting_id: toValue(sittingId) } },
          body: { open },
        }),
      ),
    onSuccess: () => cache.invalidateQueries({ queryKey: ['dog', toValue(dogId), 'card'] }),
  })
}
export const useSitting = (dogId: MaybeRefOrGetter<string>, sittingId: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['sitting', dogId, sittingId],
    queryFn: () =>
      answered(
        client.GET('/api/dogs/{dog_id}/sittings/{sitting_id}/bench', {
          params: { path: { dog_id: toValue(dogId), sitting_id: toValue(sittingId) } },
        }),
      ),
  })

export const useHistory = (dogId: MaybeRefOrGetter<string>, of: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['history', dogId, of],
    queryFn: () =>
      answered(
        client.GET('/api/dogs/{dog_id}/history', {
          params: { path: { dog_id: toValue(dogId) }, query: { of: toValue(of) } },
        }),
      ),
    placeholderData: keepPreviousData,
  })

export const useRhythms = (
  dogId: MaybeRefOrGetter<string>,
  asked: MaybeRefOrGetter<{ pavement_km_week?: number; goal_gap_mm?: number }>,
) =>
  useQuery({
    queryKey: ['rhythms', dogId, asked],
    queryFn: () =>
      answered(
        client.GET('/api/dogs/{dog_id}/rhythms', {
          params: { path: { dog_id: toValue(dogId) }, query: toValue(asked) },
        }),
      ),
    placeholderData: keepPreviousData,
  })

/** Begin to bring a dog's quicks back, or end the plan that is on. */
export function useQuickPlan(dogId: MaybeRefOrGetter<string>) {
  const cache = useQueryClient()
  const onSuccess = () => cache.invalidateQueries({ predicate: q => q.queryKey[0] !== 'settings' })
  return {
    start: useMutation({
      mutationFn: (body: Schemas['QuickPlanInput']) =>
        answered(client.POST('/api/dogs/{dog_id}/quick-plan', { ...path(toValue(dogId)), body })),
      onSuccess,
    }),
    end: useMutation({
      mutationFn: () => answered(client.DELETE('/api/dogs/{dog_id}/quick-plan', path(toValue(dogId)))),
      onSuccess: () => {
        offerBack($t('api.the_plan_has_ended'), 'quick_plan', toValue(dogId))
        return onSuccess()
      },
    }),
  }
}

export const useCalendar = () =>
  useQuery({ queryKey: ['calendar'], queryFn: () => answered(client.GET('/api/calendar')) })

export function useRenewCalendar() {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: () => answered(client.POST('/api/calendar')),
    onSuccess: calendar => cache.setQueryData(['calendar'], calendar),
  })
}

export const useForecast = (dogId: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['forecast', dogId],
    queryFn: () => answered(client.GET('/api/dogs/{dog_id}/forecast', path(toValue(dogId)))),
  })

/** One nail in section; the picture stays while another margin is asked for. */
export const useSection = (
  dogId: MaybeRefOrGetter<string>,
  code: MaybeRefOrGetter<string>,
  margin: MaybeRefOrGetter<number | undefined>,
  slivers: MaybeRefOrGetter<number[]> = [],
) =>
  useQuery({
    queryKey: ['section', dogId, code, margin, slivers],
    queryFn: () =>
      answered(
        client.GET('/api/dogs/{dog_id}/nails/{code}', {
          params: {
            path: { dog_id: toValue(dogId), code: toValue(code) as Schemas['NailCode'] },
            query: { margin_mm: toValue(margin), slivers_mm: toValue(slivers) },
          },
        }),
      ),
    placeholderData: keepPreviousData,
  })

export function useRecordCheck(dogId: MaybeRefOrGetter<string>) {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: (body: Schemas['CheckInput']) => save({ dog: toValue(dogId), sitting: body.id, walk: body }),
    onSuccess: () => cache.invalidateQueries({ predicate: q => q.queryKey[0] !== 'settings' }),
  })
}

export const useMoveStandIn = () =>
  useMutation({
    mutationFn: (body: Schemas['StandInMove']) => answered(client.POST('/api/caliper/stand-in', { body })),
  })
