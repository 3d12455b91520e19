import { VueQueryPlugin, QueryClient } from '@tanstack/vue-query'
import { createApp } from 'vue'
import App from './App.vue'
import { Refusal } from './api/client'
import { followTheme } from './local/theme'
import { router } from './router'
import './styles/main.scss'

followTheme()

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      shallow: true, // an answer is replaced as a whole, never changed in part: it need not be watched leaf by leaf
      // A refusal is final; a server that does not answer is asked again.
      retry: (count, error) => error instanceof Refusal && error.unreachable && count < 2,
      networkMode: 'always',
    },
    mutations: { networkMode: 'always' },
  },
})

if (location.protocol === 'https:') void import('./local/shell').then(({ keepShell }) => keepShell(router))

// In a task of its own: a slow phone reads the program in one, and shows it in the next.
setTimeout(() => createApp(App).use(VueQueryPlugin, { queryClient: queries }).use(router).mount('#app'))
