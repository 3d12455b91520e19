import { createRouter, createWebHistory } from 'vue-router'
import DueScreen from './screens/DueScreen.vue'

export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
  routes: [
    { path: '/', name: 'due', component: DueScreen, meta: { title: 'Due' } },
    { path: '/start', name: 'start', component: () => import('./screens/FirstStart.vue'), meta: { title: 'First start', bare: true } },
    { path: '/dogs/new', name: 'new-dog', component: () => import('./screens/NewDog.vue'), meta: { title: 'Add a dog' } },
    { path: '/dogs/:dogId', name: 'dog', component: () => import('./screens/DogScreen.vue'), props: true, meta: { title: 'Dog' } },
    { path: '/dogs/:dogId/walk', name: 'walk', component: () => import('./screens/WalkScreen.vue'), props: true, meta: { title: 'Check the feet' } },
    { path: '/dogs/:dogId/nails/:code', name: 'nail', component: () => import('./screens/NailScreen.vue'), props: true, meta: { title: 'Nail' } },
    { path: '/dogs/:dogId/photo/:code', name: 'photo', component: () => import('./screens/PhotoScreen.vue'), props: true, meta: { title: 'From a picture' } },
    { path: '/dogs/:dogId/ready', name: 'ready', component: () => import('./screens/ReadyScreen.vue'), props: true, meta: { title: 'Get ready' } },
    { path: '/dogs/:dogId/ladder', name: 'dog-ladder', component: () => import('./screens/LadderScreen.vue'), props: true, meta: { title: 'Ladder' } },
    { path: '/dogs/:dogId/rhythm', name: 'dog-rhythm', component: () => import('./screens/RhythmScreen.vue'), props: true, meta: { title: 'How often' } },
    { path: '/dogs/:dogId/bench/:sittingId', name: 'bench', component: () => import('./screens/BenchScreen.vue'), props: true, meta: { title: 'Bench' } },
    { path: '/dogs/:dogId/record', name: 'record', component: () => import('./screens/RecordScreen.vue'), props: true, meta: { title: 'Record a trim' } },
    { path: '/dogs/:dogId/saved/:sittingId', name: 'saved', component: () => import('./screens/SavedScreen.vue'), props: true, meta: { title: 'Saved' } },
    { path: '/dogs/:dogId/hindsight', name: 'hindsight', component: () => import('./screens/HindsightScreen.vue'), props: true, meta: { title: 'How right was it' } },
    { path: '/today', name: 'today', component: () => import('./screens/TodayScreen.vue'), meta: { title: 'Today' } },
    { path: '/round', name: 'round', component: () => import('./screens/RoundScreen.vue'), meta: { title: 'Week' } },
    { path: '/round/book', name: 'book', component: () => import('./screens/BookScreen.vue'), meta: { title: 'Book a visit' } },
    { path: '/round/calls', name: 'calls', component: () => import('./screens/CallsScreen.vue'), meta: { title: 'Who to call' } },
    { path: '/round/week', name: 'working-week', component: () => import('./screens/WorkingWeekScreen.vue'), meta: { title: 'Hours' } },
    { path: '/messages', name: 'messages', component: () => import('./screens/MessagesScreen.vue'), meta: { title: 'Messages' } },
    { path: '/owners', name: 'owners', component: () => import('./screens/OwnersScreen.vue'), meta: { title: 'Owners' } },
    { path: '/owners/list', name: 'list', component: () => import('./screens/ListScreen.vue'), meta: { title: 'From a list' } },
    { path: '/owners/:ownerId', name: 'owner', component: () => import('./screens/OwnerScreen.vue'), props: true, meta: { title: 'Owner' } },
    { path: '/ladder', name: 'ladder', component: () => import('./screens/LaddersScreen.vue'), meta: { title: 'Ladder' } },
    { path: '/hindsight', name: 'whole-hindsight', component: () => import('./screens/WholeHindsight.vue'), meta: { title: 'How right was it' } },
    { path: '/practice', name: 'practice', component: () => import('./screens/PracticeScreen.vue'), meta: { title: 'Practice' } },
    { path: '/practice/ends', name: 'ends', component: () => import('./screens/EndsDrill.vue'), meta: { title: 'Name the cut end' } },
    { path: '/practice/dog', name: 'scenes', component: () => import('./screens/ScenesDrill.vue'), meta: { title: 'Read the dog' } },
    { path: '/practice/:kind(light|dark|dewclaw|long_quick|toy|moving)', name: 'practice-nail', component: () => import('./screens/PracticeNail.vue'), props: true, meta: { title: 'Practice' } },
    { path: '/practice/:kind(light|dark|dewclaw|long_quick|toy|moving)/together', name: 'together', component: () => import('./screens/PracticeTogether.vue'), props: true, meta: { title: 'A series together' } },
    { path: '/kit', name: 'kit', component: () => import('./screens/KitScreen.vue'), meta: { title: 'Kit' } },
    { path: '/bench', name: 'open-bench', component: () => import('./screens/OpenBench.vue'), meta: { title: 'Bench' } },
    { path: '/more', name: 'more', component: () => import('./screens/MoreScreen.vue'), meta: { title: 'More' } },
    { path: '/chart', name: 'chart', component: () => import('./screens/PawChart.vue'), meta: { title: 'Paw chart' } },
    { path: '/words', name: 'words', component: () => import('./screens/WordsScreen.vue'), meta: { title: 'Words' } },
    { path: '/settings/slices', name: 'slices', component: () => import('./screens/SlicesScreen.vue'), meta: { title: 'How thick you cut' } },
    { path: '/settings/:page?', name: 'settings', component: () => import('./screens/SettingsScreen.vue'), props: true, meta: { title: 'Settings' } },
    { path: '/:rest(.*)', name: 'lost', component: () => import('./screens/LostScreen.vue'), meta: { title: 'Nothing here' } },
  ],
})

router.afterEach((to) => {
  document.title = `${String(to.meta.title)} · Fribbet`
})
