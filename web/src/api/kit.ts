import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { answered, client, type Schemas } from './client'
import { offerBack } from '../local/undo'
import { $t } from '../i18n'

export const useKit = () => useQuery({ queryKey: ['kit'], queryFn: () => answered(client.GET('/api/kit')) })

/**
 * Every change answers with the whole kit as it then stands; plans that were made with the old one are asked for anew.
 */
function useKitChange<T>(change: (what: T) => Promise<Schemas['Kit']>, took?: (what: T) => void) {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: change,
    onSuccess: (kit, what) => {
      took?.(what)
      cache.setQueryData(['kit'], kit)
      return cache.invalidateQueries({ predicate: q => ['plan', 'advice'].includes(String(q.queryKey[0])) })
    },
  })
}

const path = (itemId: string) => ({ params: { path: { item_id: itemId } } })

/** Adds a piece, or changes the one whose version is given. */
export const useKeepKitItem = () =>
  useKitChange(({ id, ...body }: Schemas['KitItemInput'] & { id: string }) =>
    answered(
      body.version === undefined
        ? client.POST('/api/kit', { body: { id, ...body } })
        : client.PUT('/api/kit/{item_id}', { ...path(id), body }),
    ),
  )
export const useRemoveKitItem = () =>
  useKitChange(
    (id: string) => answered(client.DELETE('/api/kit/{item_id}', path(id))),
    id => offerBack($t('api.it_is_out_of_the'), 'kit_item', id),
  )
export const useServiceKitItem = () =>
  useKitChange((id: string) => answered(client.POST('/api/kit/{item_id}/services', path(id))))
export const useUndoKitService = () =>
  useKitChange((id: string) => answered(client.DELETE('/api/kit/{item_id}/services', path(id))))
