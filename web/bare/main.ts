// The empty page that start-up is held against: the same framework, router and queries, and nothing to show.
import { VueQueryPlugin, QueryClient } from '@tanstack/vue-query'
import { createApp, h } from 'vue'
import { createRouter, createWebHistory, RouterView } from 'vue-router'

const router = createRouter({
  history: createWebHistory(),
  routes: [{ path: '/:rest(.*)', component: { render: () => h('p', 'Nothing.') } }],
})

setTimeout(() =>
  createApp({ render: () => h(RouterView) })
    .use(VueQueryPlugin, { queryClient: new QueryClient() })
    .use(router)
    .mount('#app'),
)
