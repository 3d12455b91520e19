import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { onScopeDispose, ref } from 'vue'
import { $t } from '../i18n'
import { answered, client } from './client'

/** Fetches everything as one file, tells how much has come, and can be stopped. */
export function useExport() {
  const bytes = ref<number>()
  const failed = ref('')
  let stop: AbortController | undefined
  async function take() {
    stop = new AbortController()
    bytes.value = 0
    failed.value = ''
    try {
      const response = await fetch('/api/export', { signal: stop.signal })
      if (!response.ok || !response.body) throw new Error($t('api.fribbet_does_not_answer_is'))
      const parts: BlobPart[] = []
      for (const reader = response.body.getReader(); ;) {
        const { done, value } = await reader.read()
        if (done) break
        parts.push(value)
        bytes.value += value.length
      }
      const link = document.createElement('a')
      link.href = URL.createObjectURL(new Blob(parts, { type: 'application/zip' }))
      link.download = /filename="([^"]+)"/.exec(response.headers.get('Content-Disposition') ?? '')?.[1] ?? 'fribbet.zip'
      link.click()
      setTimeout(() => URL.revokeObjectURL(link.href), 60_000)
    } catch (e) {
      if (!stop.signal.aborted) failed.value = (e as Error).message
    }
    bytes.value = undefined
  }
  const cancel = () => stop?.abort()
  onScopeDispose(cancel)
  return { bytes, failed, take, cancel }
}

/** What a package would bring, or brings: all of what is new in it, or nothing. */
export function useImport() {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: ({ file, take }: { file: Blob; take: boolean }) =>
      answered(
        client.POST('/api/import', {
          params: { query: { take } },
          headers: { 'Content-Type': 'application/octet-stream' },
          body: file as never,
          bodySerializer: b => b as never,
        }),
      ),
    onSuccess: (_, { take }) => take && cache.invalidateQueries(),
  })
}
export const useImportProgress = (running: () => boolean) =>
  useQuery({
    queryKey: ['import'],
    enabled: running,
    refetchInterval: 500,
    gcTime: 0,
    queryFn: () => answered(client.GET('/api/import')),
  })
