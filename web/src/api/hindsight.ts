import { useQuery } from '@tanstack/vue-query'
import { toValue, type MaybeRefOrGetter } from 'vue'
import { answered, client } from './client'

/** What was said of a dog beforehand, beside what then was. */
export const useHindsight = (dogId: MaybeRefOrGetter<string>) =>
  useQuery({ queryKey: ['dogs', dogId, 'hindsight'], queryFn: () => answered(client.GET('/api/dogs/{dog_id}/hindsight', { params: { path: { dog_id: toValue(dogId) } } })) })
