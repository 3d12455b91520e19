import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { toValue, type MaybeRefOrGetter } from 'vue'
import { answered, client, type Schemas } from './client'

/** What was said of a dog beforehand, beside what then was. */
export const useHindsight = (dogId: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['dogs', dogId, 'hindsight'],
    queryFn: () =>
      answered(client.GET('/api/dogs/{dog_id}/hindsight', { params: { path: { dog_id: toValue(dogId) } } })),
  })

/** The same of an owner's dogs together. */
export const useOwnersHindsight = (ownerId: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['owners', ownerId, 'hindsight'],
    queryFn: () =>
      answered(client.GET('/api/owners/{owner_id}/hindsight', { params: { path: { owner_id: toValue(ownerId) } } })),
  })

/** All dogs together: asked again while it is being worked out. */
export function useWholeHindsight() {
  const cache = useQueryClient()
  const key = ['hindsight']
  const query = useQuery({
    queryKey: key,
    refetchInterval: q => (q.state.data?.progress ? 500 : false),
    queryFn: () => answered(client.GET('/api/hindsight')),
  })
  const anew = async () =>
    cache.setQueryData(key, await answered(client.GET('/api/hindsight', { params: { query: { anew: true } } })))
  return { ...query, anew }
}

/** Lets the book's own record say what is usual, or takes that back: everything is worked out anew by it. */
export function useOwnUsual() {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: (told: Schemas['OwnUse']) => answered(client.PUT('/api/hindsight/own', { body: told })),
    onSuccess: () => cache.invalidateQueries(),
  })
}
