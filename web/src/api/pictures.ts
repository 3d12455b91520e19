import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { toValue, type MaybeRefOrGetter } from 'vue'
import { answered, client, type Schemas } from './client'

export const pictureOf = (hash: string, small = false) => `/api/pictures/${hash}${small ? '?small=true' : ''}`

export const usePictures = (dogId: MaybeRefOrGetter<string>) =>
  useQuery({
    queryKey: ['pictures', dogId],
    queryFn: () =>
      answered(client.GET('/api/dogs/{dog_id}/pictures', { params: { path: { dog_id: toValue(dogId) } } })),
  })
export const usePicturesKept = () =>
  useQuery({ queryKey: ['pictures', 'kept'], queryFn: () => answered(client.GET('/api/pictures')) })

function usePictureChange<T, R>(change: (what: T) => Promise<R>) {
  const cache = useQueryClient()
  return useMutation({ mutationFn: change, onSuccess: () => cache.invalidateQueries({ queryKey: ['pictures'] }) })
}

const path = (dogId: string, id: string) => ({ dog_id: dogId, picture_id: id })
/** Sends a picture as it is: Fribbet turns, scales and strips it. */
export const useAddPicture = (dogId: MaybeRefOrGetter<string>) =>
  usePictureChange(
    ({
      file,
      paw,
      end,
    }: {
      file: Blob
      paw: Schemas['Paw']
      end?: { code: string; sitting_id: string; cuts: number }
    }) =>
      answered(
        client.PUT('/api/dogs/{dog_id}/pictures/{picture_id}', {
          params: { path: path(toValue(dogId), crypto.randomUUID()), query: { paw, ...end } },
          headers: { 'Content-Type': 'application/octet-stream' },
          body: file as never,
          bodySerializer: b => b as never,
        }),
      ),
  )
export const useRemovePicture = (dogId: MaybeRefOrGetter<string>) =>
  usePictureChange((id: string) =>
    answered(client.DELETE('/api/dogs/{dog_id}/pictures/{picture_id}', { params: { path: path(toValue(dogId), id) } })),
  )

/** What a picture says of a nail, asked again whenever a handle was moved. */
export const useReadPhoto = (
  dogId: MaybeRefOrGetter<string>,
  code: MaybeRefOrGetter<string>,
  told: MaybeRefOrGetter<Schemas['PhotoInput'] | undefined>,
) =>
  useQuery({
    queryKey: ['photo', dogId, code, told],
    enabled: () => toValue(told) !== undefined,
    retry: false,
    staleTime: Infinity,
    gcTime: 0,
    placeholderData: keepPreviousData,
    queryFn: ({ signal }) =>
      answered(
        client.POST('/api/dogs/{dog_id}/nails/{code}/photo', {
          params: { path: { dog_id: toValue(dogId), code: toValue(code) as Schemas['NailCode'] } },
          body: toValue(told)!,
          signal,
        }),
      ),
  })
