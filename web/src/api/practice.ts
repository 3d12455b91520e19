import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { toValue, type MaybeRefOrGetter } from 'vue'
import { answered, client, type Schemas } from './client'
import { $t } from '../i18n'

export type Kind = Schemas['PracticeKind']

export const usePractice = () =>
  useQuery({ queryKey: ['practice'], queryFn: () => answered(client.GET('/api/practice')) })

/** A drawn nail by all moves so far. */
export const useDrawnNail = (told: MaybeRefOrGetter<Schemas['PracticeInput']>) =>
  useQuery({
    queryKey: ['practice', 'nail', told],
    retry: false,
    staleTime: Infinity,
    gcTime: 0,
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) => answered(client.POST('/api/practice/nail', { body: toValue(told), signal })),
  })

export const useNameEnds = () => {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: (told: Schemas['EndsInput']) => answered(client.POST('/api/practice/ends', { body: told })),
    onSuccess: d =>
      d.named.asked === d.of ? cache.invalidateQueries({ queryKey: ['practice'], exact: true }) : undefined,
  })
}

export const useAnswerScenes = () =>
  useMutation({
    mutationFn: (told: Schemas['ScenesInput']) => answered(client.POST('/api/practice/scenes', { body: told })),
  })

/** One's own pictures of cut ends, to be named today. */
export const useOwnEnds = () =>
  useQuery({
    queryKey: ['practice', 'own'],
    queryFn: () => answered(client.GET('/api/practice/own')),
    staleTime: Infinity,
    gcTime: 0,
  })

function usePracticeChange<T, R>(change: (told: T) => Promise<R>) {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: change,
    onSuccess: () => cache.invalidateQueries({ queryKey: ['practice'], exact: true }),
  })
}
export const useSayOfOwnEnd = () =>
  usePracticeChange((told: Schemas['OwnEndInput']) => answered(client.POST('/api/practice/own', { body: told })))
export const useCareByEye = () =>
  usePracticeChange((cares: boolean) => answered(client.PUT('/api/practice/eye', { body: { cares } })))

export const useTogether = (kind: MaybeRefOrGetter<Kind>, seed: MaybeRefOrGetter<number>) =>
  useQuery({
    queryKey: ['practice', 'together', kind, seed],
    retry: false,
    queryFn: () =>
      answered(
        client.GET('/api/practice/together', { params: { query: { kind: toValue(kind), seed: toValue(seed) } } }),
      ),
  })

/** A new series: six digits that can be read out. */
export const newSeed = () => 1 + Math.floor(Math.random() * 999_999)

export const kinds: Record<Kind, { words: string; hard: string }> = {
  light: { words: $t('api.light_nail'), hard: $t('api.you_see_the_quick_through') },
  dark: { words: $t('api.dark_nail'), hard: $t('api.only_the_cut_end_speaks') },
  dewclaw: { words: $t('api.dewclaw'), hard: $t('api.round_and_thinner_than_it') },
  long_quick: { words: $t('api.long_quick'), hard: $t('api.nobody_has_trimmed_it_for') },
  toy: { words: $t('api.toy_dog'), hard: $t('api.everything_is_half_as_thick') },
  moving: { words: $t('api.a_dog_that_moves'), hard: $t('api.your_slices_come_out_thinner') },
}
/** A drawn picture, as a page shows it. */
export const drawn = (svg: string) => `data:image/svg+xml,${encodeURIComponent(svg)}`
