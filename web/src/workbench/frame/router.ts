import { createRouter, createWebHistory } from 'vue-router'
import { RequestFailure } from '../../shared/http'
import { session } from '../features/entrance/session'
import { steps, TRIALS } from '../features/searches/steps'

declare module 'vue-router' {
  interface RouteMeta {
    /** What the window is called. */
    title?: string
    /** Shown without a session. */
    open?: boolean
    /** Shown with a session and without one. */
    invites?: boolean
  }
}

/** Every address of the workbench. All but signing in need a session. */
export const router = createRouter({
  history: createWebHistory('/workbench/'),
  routes: [
    { path: '/', component: () => import('../features/entrance/HomePage.vue') },
    {
      path: '/sign-in',
      component: () => import('../features/entrance/SignInPage.vue'),
      meta: { open: true, title: 'Sign in' },
    },
    {
      path: '/invited',
      component: () => import('../features/entrance/InvitedPage.vue'),
      meta: { invites: true, title: 'An invitation' },
    },
    {
      path: '/first-start',
      component: () => import('../features/entrance/FirstStartPage.vue'),
      meta: { open: true, title: 'First start' },
    },
    {
      path: '/:site',
      component: () => import('./SitePages.vue'),
      props: true,
      children: [
        { path: '', redirect: to => `/${String(to.params.site)}/searches` },
        {
          path: 'content',
          component: () => import('../features/content/ContentPage.vue'),
          props: true,
          meta: { title: 'Content' },
        },
        {
          path: 'content/:collection',
          component: () => import('../features/content/CollectionPage.vue'),
          props: true,
          meta: { title: 'Content' },
        },
        {
          path: 'content/:collection/item',
          component: () => import('../features/content/ItemPage.vue'),
          props: to => ({ ...to.params, id: String(to.query.id ?? '') }),
          meta: { title: 'Content' },
        },
        {
          path: 'health',
          component: () => import('../features/content/HealthPage.vue'),
          props: true,
          meta: { title: 'Health' },
        },
        {
          path: 'sources/new',
          component: () => import('../features/sources/BringInPage.vue'),
          props: to => ({
            site: to.params.site,
            begun: to.query,
          }),
          meta: { title: 'Bring content in' },
        },
        {
          path: 'sources/:source(\\d+)',
          component: () => import('../features/sources/SourcePage.vue'),
          props: to => ({ site: to.params.site, source: Number(to.params.source) }),
          meta: { title: 'Source' },
        },
        {
          path: 'sources/:source(\\d+)/change',
          component: () => import('../features/sources/BringInPage.vue'),
          props: to => ({ site: to.params.site, source: Number(to.params.source) }),
          meta: { title: 'Source' },
        },
        {
          path: 'searches',
          component: () => import('../features/searches/SearchesPage.vue'),
          props: true,
          meta: { title: 'Searches' },
        },
        {
          path: 'searches/new',
          component: () => import('../features/new-search/NewSearchPage.vue'),
          props: to => ({ site: to.params.site, copy: to.query.copy }),
          meta: { title: 'New search' },
        },
        { path: 'searches/:search', redirect: to => `${to.path.replace(/\/$/, '')}/${steps[0].key}` },
        {
          path: `searches/:search/:step(${[...steps.map(step => step.key), TRIALS].join('|')})`,
          component: () => import('../features/searches/SearchPage.vue'),
          props: true,
          meta: { title: 'Searches' },
        },
        {
          path: 'history',
          component: () => import('../features/history/HistoryPage.vue'),
          props: true,
          meta: { title: 'What happened' },
        },
        {
          path: 'settings',
          component: () => import('../features/site/SettingsPage.vue'),
          props: true,
          meta: { title: 'Site' },
        },
      ],
    },
    { path: '/:rest(.*)*', redirect: '/' },
  ],
})

router.beforeEach(async to => {
  try {
    const now = await session.know()
    if (now.firstStart) return to.path === '/first-start' || '/first-start'
    if (to.meta.invites) return true
    if (now.name === null)
      return to.meta.open && to.path !== '/first-start'
        ? true
        : { path: '/sign-in', query: to.path === '/' ? {} : { to: to.fullPath } }
    return to.meta.open ? '/' : true
  } catch (error) {
    if (error instanceof RequestFailure) return true // the page itself tells that the service cannot be reached
    throw error
  }
})
router.afterEach(to => {
  document.title = to.meta.title ? `${to.meta.title} – Tidy Lantern` : 'Tidy Lantern'
})
