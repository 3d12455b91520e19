import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { toValue, type MaybeRefOrGetter } from 'vue'
import { answered, client, type Schemas } from './client'
import { offerBack } from '../local/undo'
import { $t } from '../i18n'

export const useLadders = () => useQuery({ queryKey: ['ladders'], queryFn: () => answered(client.GET('/api/ladders')) })

export const useCalm = () => useQuery({ queryKey: ['calm'], queryFn: () => answered(client.GET('/api/calm')) })

const path = (dogId: string) => ({ params: { path: { dog_id: dogId } } })

export const useDogLadders = (dogId: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['dog-ladders', dogId],
    queryFn: () => answered(client.GET('/api/dogs/{dog_id}/ladders', path(toValue(dogId)))),
  })

/** Every change answers with all of the dog's ladders as they then stand. */
function useLadderChange<T>(
  dogId: MaybeRefOrGetter<string>,
  change: (dog: string, what: T) => Promise<Schemas['DogLadders']>,
  took?: (what: T) => void,
) {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: (what: T) => change(toValue(dogId), what),
    onSuccess: (ladders, what) => {
      took?.(what)
      cache.setQueryData(['dog-ladders', toValue(dogId)], ladders)
      return cache.invalidateQueries({
        predicate: q => ['due', 'dog', 'ladders', 'plan'].includes(String(q.queryKey[0])),
      })
    },
  })
}

const onLadder = (dog: string, ladder: string) => ({ params: { path: { dog_id: dog, ladder_id: ladder } } })

export const useStartLadder = (dogId: MaybeRefOrGetter<string>) =>
  useLadderChange(dogId, (dog, body: Schemas['LadderInput']) =>
    answered(client.POST('/api/dogs/{dog_id}/ladders', { ...path(dog), body })),
  )
export const useEndLadder = (dogId: MaybeRefOrGetter<string>) =>
  useLadderChange(
    dogId,
    (dog, ladder: string) => answered(client.DELETE('/api/dogs/{dog_id}/ladders/{ladder_id}', onLadder(dog, ladder))),
    ladder => offerBack($t('api.the_ladder_has_ended'), 'ladder', ladder),
  )
export const useRecordTry = (dogId: MaybeRefOrGetter<string>) =>
  useLadderChange(dogId, (dog, { ladder, ...body }: Schemas['TryInput'] & { ladder: string }) =>
    answered(client.POST('/api/dogs/{dog_id}/ladders/{ladder_id}/tries', { ...onLadder(dog, ladder), body })),
  )
export const useWithdrawTry = (dogId: MaybeRefOrGetter<string>) =>
  useLadderChange(
    dogId,
    (dog, { ladder, id }: { ladder: string; id: string }) =>
      answered(
        client.DELETE('/api/dogs/{dog_id}/ladders/{ladder_id}/tries/{try_id}', {
          params: { path: { dog_id: dog, ladder_id: ladder, try_id: id } },
        }),
      ),
    ({ id }) => offerBack($t('api.that_try_is_deleted'), 'try', id),
  )
