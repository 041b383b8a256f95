<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Menu from 'primevue/menu'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { formatSize } from '../kit/format'
import { api } from '../ownerApi'
import GoAnywhere from './GoAnywhere.vue'
import KeysDialog from './KeysDialog.vue'
import LanternMark from './LanternMark.vue'
import { session } from '../features/entrance/session'
import { useInstallation } from '../features/site/useInstallation'
import { useKeys } from '../kit/useSingleKeys'

const { site } = defineProps<{ site: string }>()
const router = useRouter()
const route = useRoute()
const parts = [
  { key: 'content', name: 'Content' },
  { key: 'searches', name: 'Searches' },
  { key: 'settings', name: 'Site' },
]
/** Sources and health are parts of the content. */
const inPart = (key: string) =>
  [key, ...(key === 'content' ? ['sources', 'health'] : [])].some(one => route.path.startsWith(`/${site}/${one}`))
const { data: sites } = useQuery({ queryKey: ['sites'], queryFn: api.sites })
const here = computed(() => sites.value?.find(one => one.key === site))
const installation = useInstallation()
const notice = computed(() => {
  const now = installation.value
  if (now && now.missing.length > 0)
    return `The database is not what it was, so nothing can be changed. ${now.missing.join(' ')} Visitors are answered from what the searches still know. Bring a copy back under Site, or ask whoever runs the service to accept the loss.`
  return now?.full
    ? `The disk is nearly full (${formatSize(now.freeBytes)} left), so nothing can be changed. Visitors are answered all the same. Make room.`
    : ''
})
const initials = computed(() =>
  (session.known.value?.name ?? '')
    .split(/\s+/)
    .map(word => word[0] ?? '')
    .join('')
    .slice(0, 2)
    .toUpperCase(),
)
const menu = ref<InstanceType<typeof Menu>>()
const going = ref(false)
const keys = ref(false)
const account = computed(() => [
  ...(sites.value ?? [])
    .filter(one => one.key !== site)
    .map(one => ({
      label: `Go to ${one.name}`,
      icon: 'pi pi-globe',
      command: () => {
        void router.push(`/${one.key}/searches`)
      },
    })),
  {
    label: 'Keys',
    icon: 'pi pi-question-circle',
    command: () => {
      keys.value = true
    },
  },
  { label: 'Sign out', icon: 'pi pi-sign-out', command: () => void signOut() },
])

async function signOut() {
  await api.signOut()
  session.lost()
  await router.push('/sign-in')
}
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
    <header>
      <RouterLink class="mark" :to="`/${site}/searches`">
        <LanternMark />
        Tidy Lantern
      </RouterLink>
      <span class="site">{{ here?.name }}</span>
      <nav aria-label="Parts of the workbench">
        <RouterLink
          v-for="part in parts"
          :key="part.key"
          :to="`/${site}/${part.key}`"
          :class="{ here: inPart(part.key) }"
          :aria-current="inPart(part.key) ? 'page' : undefined"
        >
          {{ part.name }}
        </RouterLink>
      </nav>
      <button type="button" class="go" @click="going = true">
        <i class="pi pi-compass" aria-hidden="true" />
        Go to
        <kbd>Ctrl K</kbd>
      </button>
      <button
        type="button"
        class="person"
        aria-haspopup="menu"
        :aria-label="`Account of ${session.known.value?.name ?? ''}`"
        @click="menu?.toggle($event)"
      >
        {{ initials }}
      </button>
      <Menu ref="menu" :model="account" popup />
    </header>
    <div id="content" class="content" tabindex="-1">
      <p v-if="notice" class="remark bad notice" role="alert">
        <i class="pi pi-exclamation-triangle" aria-hidden="true" />
        <span>{{ notice }}</span>
      </p>
      <RouterView v-if="here" :key="`${site} ${route.params.search ?? ''}`" />
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
header {
  display: flex;
  align-items: center;
  gap: 16px;
  padding: 0 16px;
  background: var(--ink);
  color: #f4efe2;
}
header :focus-visible {
  outline-color: var(--lamp);
}
.mark {
  display: flex;
  align-items: center;
  gap: 8px;
  color: inherit;
  text-decoration: none;
  font: 600 17px var(--title);
  white-space: nowrap;
}
.site {
  padding-left: 16px;
  border-left: 1px solid #42545e;
  color: #dfe6e4;
  font-size: 13.5px;
  white-space: nowrap;
}
nav {
  display: flex;
  gap: 2px;
  flex: 1;
  margin-left: 8px;
}
nav a {
  padding: 6px 12px;
  border-radius: 6px;
  color: #c9d3d4;
  text-decoration: none;
  font-weight: 500;
}
nav a:hover {
  color: #fff;
}
nav a.here {
  background: #31454f;
  color: #fff;
  box-shadow: inset 0 -2px 0 var(--lamp);
}
.go,
.person {
  font: inherit;
  color: #dfe6e4;
  background: none;
  border: 1px solid #5b6d76;
  border-radius: 7px;
  cursor: pointer;
}
.go {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 4px 8px 4px 10px;
  font-size: 13px;
  white-space: nowrap;
}
.go kbd {
  color: #c9d3d4;
  border-color: #5b6d76;
}
.go:hover {
  border-color: #a5b2b8;
  color: #fff;
}
.person {
  width: 32px;
  height: 32px;
  border: 0;
  border-radius: 50%;
  background: var(--lamp);
  color: var(--ink);
  font-weight: 700;
  font-size: 12px;
}
.content {
  overflow: auto;
  min-height: 0;
}
.content:focus {
  outline: 0;
}
.notice {
  margin: 16px 24px 0;
}
@media (max-width: 760px) {
  .site,
  .go {
    display: none;
  }
  header {
    gap: 8px;
  }
  .mark {
    font-size: 0;
  }
  nav {
    margin: 0;
  }
}
</style>
