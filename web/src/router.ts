import { createRouter, createWebHistory, START_LOCATION } from 'vue-router'
import DueScreen from './screens/DueScreen.vue'
import { $t, type Key } from './i18n'

declare module 'vue-router' {
  interface RouteMeta {
    title: Key
    /** Without the frame and its places. */
    bare?: boolean
  }
}

export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
  routes: [
    { path: '/', name: 'due', component: DueScreen, meta: { title: 'app.due' } },
    {
      path: '/start',
      name: 'start',
      component: () => import('./screens/FirstStart.vue'),
      meta: { title: 'app.first_start', bare: true },
    },
    {
      path: '/dogs/new',
      name: 'new-dog',
      component: () => import('./screens/NewDog.vue'),
      meta: { title: 'app.add_a_dog' },
    },
    {
      path: '/dogs/:dogId',
      name: 'dog',
      component: () => import('./screens/DogScreen.vue'),
      props: true,
      meta: { title: 'app.dog' },
    },
    {
      path: '/dogs/:dogId/walk',
      name: 'walk',
      component: () => import('./screens/WalkScreen.vue'),
      props: true,
      meta: { title: 'app.check_the_feet' },
    },
    {
      path: '/dogs/:dogId/nails/:code',
      name: 'nail',
      component: () => import('./screens/NailScreen.vue'),
      props: true,
      meta: { title: 'app.nail' },
    },
    {
      path: '/dogs/:dogId/photo/:code',
      name: 'photo',
      component: () => import('./screens/PhotoScreen.vue'),
      props: true,
      meta: { title: 'app.from_a_picture' },
    },
    {
      path: '/dogs/:dogId/ready',
      name: 'ready',
      component: () => import('./screens/ReadyScreen.vue'),
      props: true,
      meta: { title: 'app.get_ready' },
    },
    {
      path: '/dogs/:dogId/ladder',
      name: 'dog-ladder',
      component: () => import('./screens/LadderScreen.vue'),
      props: true,
      meta: { title: 'app.ladder' },
    },
    {
      path: '/dogs/:dogId/rhythm',
      name: 'dog-rhythm',
      component: () => import('./screens/RhythmScreen.vue'),
      props: true,
      meta: { title: 'app.how_often' },
    },
    {
      path: '/dogs/:dogId/bench/:sittingId',
      name: 'bench',
      component: () => import('./screens/BenchScreen.vue'),
      props: true,
      meta: { title: 'app.bench' },
    },
    {
      path: '/dogs/:dogId/record',
      name: 'record',
      component: () => import('./screens/RecordScreen.vue'),
      props: true,
      meta: { title: 'app.record_a_trim' },
    },
    {
      path: '/dogs/:dogId/saved/:sittingId',
      name: 'saved',
      component: () => import('./screens/SavedScreen.vue'),
      props: true,
      meta: { title: 'app.saved' },
    },
    {
      path: '/dogs/:dogId/hindsight',
      name: 'hindsight',
      component: () => import('./screens/HindsightScreen.vue'),
      props: true,
      meta: { title: 'app.how_right_was_it' },
    },
    {
      path: '/today',
      name: 'today',
      component: () => import('./screens/TodayScreen.vue'),
      meta: { title: 'app.today' },
    },
    {
      path: '/round',
      name: 'round',
      component: () => import('./screens/RoundScreen.vue'),
      meta: { title: 'app.week' },
    },
    {
      path: '/round/book',
      name: 'book',
      component: () => import('./screens/BookScreen.vue'),
      meta: { title: 'app.book_a_visit' },
    },
    {
      path: '/round/calls',
      name: 'calls',
      component: () => import('./screens/CallsScreen.vue'),
      meta: { title: 'app.who_to_call' },
    },
    {
      path: '/round/week',
      name: 'working-week',
      component: () => import('./screens/WorkingWeekScreen.vue'),
      meta: { title: 'app.hours' },
    },
    {
      path: '/messages',
      name: 'messages',
      component: () => import('./screens/MessagesScreen.vue'),
      meta: { title: 'app.messages' },
    },
    {
      path: '/owners',
      name: 'owners',
      component: () => import('./screens/OwnersScreen.vue'),
      meta: { title: 'app.owners' },
    },
    {
      path: '/owners/list',
      name: 'list',
      component: () => import('./screens/ListScreen.vue'),
      meta: { title: 'app.from_a_list' },
    },
    {
      path: '/owners/:ownerId',
      name: 'owner',
      component: () => import('./screens/OwnerScreen.vue'),
      props: true,
      meta: { title: 'app.owner' },
    },
    {
      path: '/ladder',
      name: 'ladder',
      component: () => import('./screens/LaddersScreen.vue'),
      meta: { title: 'app.ladder' },
    },
    {
      path: '/owners/:ownerId/hindsight',
      name: 'owners-hindsight',
      component: () => import('./screens/OwnersHindsight.vue'),
      props: true,
      meta: { title: 'app.how_right_was_it' },
    },
    {
      path: '/hindsight',
      name: 'whole-hindsight',
      component: () => import('./screens/WholeHindsight.vue'),
      meta: { title: 'app.how_right_was_it' },
    },
    {
      path: '/practice',
      name: 'practice',
      component: () => import('./screens/PracticeScreen.vue'),
      meta: { title: 'app.practice' },
    },
    {
      path: '/practice/ends',
      name: 'ends',
      component: () => import('./screens/EndsDrill.vue'),
      meta: { title: 'app.name_the_cut_end' },
    },
    {
      path: '/practice/own',
      name: 'own-ends',
      component: () => import('./screens/OwnEndsDrill.vue'),
      meta: { title: 'practice.your_own_ends' },
    },
    {
      path: '/practice/dog',
      name: 'scenes',
      component: () => import('./screens/ScenesDrill.vue'),
      props: { drill: 'dog' },
      meta: { title: 'app.read_the_dog' },
    },
    {
      path: '/practice/blood',
      name: 'blood',
      component: () => import('./screens/ScenesDrill.vue'),
      props: { drill: 'blood' },
      meta: { title: 'app.it_bleeds' },
    },
    {
      path: '/practice/groove',
      name: 'groove',
      component: () => import('./screens/ScenesDrill.vue'),
      props: { drill: 'groove' },
      meta: { title: 'practice.where_the_groove_ends' },
    },
    {
      path: '/practice/feet',
      name: 'feet',
      component: () => import('./screens/ScenesDrill.vue'),
      props: { drill: 'feet' },
      meta: { title: 'practice.which_paw_is_due' },
    },
    {
      path: '/practice/:kind(light|dark|dewclaw|long_quick|toy|moving)',
      name: 'practice-nail',
      component: () => import('./screens/PracticeNail.vue'),
      props: true,
      meta: { title: 'app.practice' },
    },
    {
      path: '/practice/:kind(light|dark|dewclaw|long_quick|toy|moving)/together',
      name: 'together',
      component: () => import('./screens/PracticeTogether.vue'),
      props: true,
      meta: { title: 'app.a_series_together' },
    },
    { path: '/kit', name: 'kit', component: () => import('./screens/KitScreen.vue'), meta: { title: 'app.kit' } },
    {
      path: '/bench',
      name: 'open-bench',
      component: () => import('./screens/OpenBench.vue'),
      meta: { title: 'app.bench' },
    },
    { path: '/more', name: 'more', component: () => import('./screens/MoreScreen.vue'), meta: { title: 'app.more' } },
    {
      path: '/chart',
      name: 'chart',
      component: () => import('./screens/PawChart.vue'),
      meta: { title: 'app.paw_chart' },
    },
    {
      path: '/words',
      name: 'words',
      component: () => import('./screens/WordsScreen.vue'),
      meta: { title: 'app.words' },
    },
    {
      path: '/settings/slices',
      name: 'slices',
      component: () => import('./screens/SlicesScreen.vue'),
      meta: { title: 'app.how_thick_you_cut' },
    },
    {
      path: '/settings/:page?',
      name: 'settings',
      component: () => import('./screens/SettingsScreen.vue'),
      props: true,
      meta: { title: 'app.settings' },
    },
    {
      path: '/:rest(.*)',
      name: 'lost',
      component: () => import('./screens/LostScreen.vue'),
      meta: { title: 'app.nothing_here' },
    },
  ],
})

// The first screen is drawn in a task of its own, after the frame: a slow phone answers a thumb between the two.
router.beforeResolve((_to, from) => (from === START_LOCATION ? new Promise(drawn => setTimeout(drawn)) : undefined))

router.afterEach(to => {
  document.title = $t('app.fribbet', { title: $t(to.meta.title) })
})
