import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { toValue, type MaybeRefOrGetter } from 'vue'
import { answered, client, type Schemas } from './client'
import { offerBack } from '../local/undo'
import { $t } from '../i18n'

/** How the user's slices come out, where that was measured. */
export const useSlices = () => useQuery({ queryKey: ['slices'], queryFn: () => answered(client.GET('/api/slices')) })

/** What slices on a picture say of the hand, asked again whenever a point was moved. */
export const useReadSlices = (told: MaybeRefOrGetter<Schemas['SlicesInput'] | undefined>) =>
  useQuery({
    queryKey: ['slices', 'reading', told],
    enabled: () => toValue(told) !== undefined,
    retry: false,
    staleTime: Infinity,
    gcTime: 0,
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => answered(client.POST('/api/slices/reading', { body: toValue(told)!, signal })),
  })

/** Looks for the card in a picture; the picture itself stays in this browser. */
export const useFindCard = () =>
  useMutation({
    mutationFn: (file: Blob) =>
      answered(
        client.POST('/api/slices/picture', {
          headers: { 'Content-Type': 'application/octet-stream' },
          body: file as never,
          bodySerializer: b => b as never,
        }),
      ),
  })

export const useTakeStandIn = () =>
  useMutation({ mutationFn: () => answered(client.GET('/api/slices/stand-in', { parseAs: 'blob' })) as Promise<Blob> })

/** Plans follow: everything is asked again. */
function useSlicesChange<T>(change: (what: T) => Promise<Schemas['SlicesKnown']>, took?: (what: T) => void) {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: change,
    onSuccess: (_, what) => {
      took?.(what)
      return cache.invalidateQueries()
    },
  })
}
export const useKeepSlices = () =>
  useSlicesChange((told: Schemas['SlicesInput']) =>
    answered(client.PUT('/api/slices/{stick_id}', { params: { path: { stick_id: crypto.randomUUID() } }, body: told })),
  )
export const useForgetSlices = () =>
  useSlicesChange(
    (id: string) => answered(client.DELETE('/api/slices/{stick_id}', { params: { path: { stick_id: id } } })),
    id => offerBack($t('api.your_slices_are_forgotten'), 'slices', id),
  )
