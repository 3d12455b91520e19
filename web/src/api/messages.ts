import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { answered, client, type Schemas } from './client'

/** What owners were told; looked at again every two seconds, since the post goes on by itself. */
export const useMessages = () =>
  useQuery({ queryKey: ['messages'], refetchInterval: 2000, queryFn: () => answered(client.GET('/api/messages')) })
/** The other side of the simulated service. */
export const useGateway = (enabled: () => boolean) =>
  useQuery({
    queryKey: ['gateway'],
    enabled,
    refetchInterval: 2000,
    queryFn: () => answered(client.GET('/api/gateway')),
  })

function useMessageChange<T, R>(change: (what: T) => Promise<R>) {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: change,
    onSuccess: () =>
      cache.invalidateQueries({
        predicate: q => ['messages', 'gateway', 'round', 'owner'].includes(String(q.queryKey[0])),
      }),
  })
}

const path = (id: string) => ({ params: { path: { message_id: id } } })
export const useTellOwner = () =>
  useMessageChange(
    ({ dogId, kind, places }: { dogId: string; kind: Schemas['MessageKind']; places?: Schemas['PlaceInput'][] }) =>
      answered(
        client.PUT('/api/messages/{message_id}', {
          ...path(crypto.randomUUID()),
          body: { dog_id: dogId, kind, places },
        }),
      ),
  )
export const useReadSo = () =>
  useMessageChange(({ id, ...means }: Schemas['AnswerMeans'] & { id: string }) =>
    answered(client.PATCH('/api/messages/{message_id}', { ...path(id), body: means })),
  )
export const useSendAgain = () =>
  useMessageChange((id: string) => answered(client.POST('/api/messages/{message_id}', path(id))))
export const useAnswer = () =>
  useMessageChange(({ id, text }: { id: string; text: string }) =>
    answered(client.POST('/api/gateway/{message_id}', { ...path(id), body: { text } })),
  )
