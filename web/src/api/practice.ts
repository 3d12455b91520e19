import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { toValue, type MaybeRefOrGetter } from 'vue'
import { answered, client, type Schemas } from './client'

export type Kind = Schemas['PracticeKind']

export const usePractice = () => useQuery({ queryKey: ['practice'], queryFn: () => answered(client.GET('/api/practice')) })

/** A drawn nail by all moves so far. */
export const useDrawnNail = (told: MaybeRefOrGetter<Schemas['PracticeInput']>) =>
  useQuery({
    queryKey: ['practice', 'nail', told], retry: false, staleTime: Infinity, gcTime: 0, placeholderData: keepPreviousData,
    queryFn: ({ signal }) => answered(client.POST('/api/practice/nail', { body: toValue(told), signal })),
  })

export const useNameEnds = () => {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: (told: Schemas['EndsInput']) => answered(client.POST('/api/practice/ends', { body: told })),
    onSuccess: (d) => (d.named.asked === d.of ? cache.invalidateQueries({ queryKey: ['practice'], exact: true }) : undefined),
  })
}

export const useAnswerScenes = () => useMutation({ mutationFn: (told: Schemas['ScenesInput']) => answered(client.POST('/api/practice/scenes', { body: told })) })

export const useTogether = (kind: MaybeRefOrGetter<Kind>, seed: MaybeRefOrGetter<number>) =>
  useQuery({ queryKey: ['practice', 'together', kind, seed], retry: false, queryFn: () => answered(client.GET('/api/practice/together', { params: { query: { kind: toValue(kind), seed: toValue(seed) } } })) })

/** A new series: six digits that can be read out. */
export const newSeed = () => 1 + Math.floor(Math.random() * 999_999)

export const kinds: Record<Kind, { words: string; hard: string }> = {
  light: { words: 'Light nail', hard: 'You see the quick through it: compare what you see with where it is.' },
  dark: { words: 'Dark nail', hard: 'Only the cut end speaks.' },
  dewclaw: { words: 'Dewclaw', hard: 'Round, and thinner than it looks.' },
  long_quick: { words: 'Long quick', hard: 'Nobody has trimmed it for long. Little is safe today.' },
  toy: { words: 'Toy dog', hard: 'Everything is half as thick.' },
  moving: { words: 'A dog that moves', hard: 'Your slices come out thinner or thicker than you mean.' },
}
/** A drawn picture, as a page shows it. */
export const drawn = (svg: string) => `data:image/svg+xml,${encodeURIComponent(svg)}`
