import '@fontsource-variable/figtree'
import '@fontsource-variable/fraunces'
import 'primeicons/primeicons.css'
import './workbench.css'
import { VueQueryPlugin } from '@tanstack/vue-query'
import PrimeVue from 'primevue/config'
import { createApp } from 'vue'
import App from './frame/App.vue'
import { LanternPreset } from './kit/preset'
import { router } from './frame/router'

createApp(App)
  .use(router)
  .use(VueQueryPlugin, {
    queryClientConfig: { defaultOptions: { queries: { retry: false, staleTime: 5_000, refetchOnWindowFocus: true } } },
  })
  .use(PrimeVue, { theme: { preset: LanternPreset, options: { darkModeSelector: '.never-dark' } } })
  .mount('#workbench')
