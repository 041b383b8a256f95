<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { useInstallation } from '../features/site/useInstallation'
import { formatSize } from '../kit/format'
import RemarkLine from '../kit/RemarkLine.vue'
import { useKeys } from '../kit/useSingleKeys'
import { useAccess } from '../kit/useAccess'
import { api } from '../ownerApi'
import GoAnywhere from './GoAnywhere.vue'
import KeysDialog from './KeysDialog.vue'
import SampleBar from './SampleBar.vue'
import SiteHeader from './SiteHeader.vue'

/** The frame around all pages of a site. */
const { site } = defineProps<{ site: string }>()
const route = useRoute()
const { data: sites } = useQuery({ queryKey: ['sites'], queryFn: api.sites })
const here = computed(() => sites.value?.find(one => one.key === site))
/** What a page is of: another search, another source, or another place to begin from, is another page. */
const page = computed(() => {
  const { params, query } = route
  return [site, params.search, params.source, query.kind, query.at, query.copy].join(' ')
})
const { role } = useAccess(() => site)
const installation = useInstallation()
const notice = computed(() => {
  const now = installation.value
  if (now && now.missing.length > 0)
    return `The database is not what it was, so nothing can be changed. ${now.missing.join(' ')} Visitors are answered from what the searches still know. Bring a copy back under Site, or ask whoever runs the service to accept the loss.`
  return now?.full
    ? `The disk is nearly full (${formatSize(now.freeBytes)} left), so nothing can be changed. Visitors are answered all the same. Make room.`
    : ''
})
const going = ref(false)
const keys = ref(false)
useKeys({
  'Ctrl+k': () => {
    going.value = true
  },
  '?': () => {
    keys.value = true
  },
})
</script>

<template>
  <div class="frame">
    <a class="skip" href="#content">Skip to the content</a>
    <SiteHeader :site="site" @go="going = true" @keys="keys = true" />
    <div id="content" class="content" tabindex="-1">
      <SampleBar v-if="here?.sample" :site="here" />
      <p v-if="role === 'viewer'" class="viewer">
        <i class="pi pi-eye" aria-hidden="true" />
        You look at this site. Its editors and owners change it.
      </p>
      <div v-if="notice" class="notice">
        <RemarkLine bad>{{ notice }}</RemarkLine>
      </div>
      <RouterView v-if="here" :key="page" />
      <main v-else-if="sites" class="page">
        <h1>There is no site “{{ site }}”</h1>
        <p class="lead">
          It may have been deleted, or its address mistyped. <RouterLink to="/">To your sites</RouterLink>
        </p>
      </main>
    </div>
    <GoAnywhere v-model="going" :site="site" />
    <KeysDialog v-model="keys" />
  </div>
</template>

<style scoped>
.frame {
  height: 100%;
  display: grid;
  grid-template-rows: 48px minmax(0, 1fr);
}
.skip {
  position: absolute;
  left: -9999px;
}
.skip:focus {
  left: 8px;
  top: 8px;
  z-index: 10;
  background: #fff;
  padding: 8px 12px;
  border-radius: 6px;
}
.content {
  overflow: auto;
  min-height: 0;
}
.content:focus {
  outline: 0;
}
.viewer {
  margin: 0;
  padding: 8px 24px;
  display: flex;
  align-items: center;
  gap: 8px;
  font-size: 13.5px;
  background: var(--lamp-wash);
  border-bottom: 1px solid var(--line);
}
.notice {
  margin: 16px 24px 0;
}
</style>
