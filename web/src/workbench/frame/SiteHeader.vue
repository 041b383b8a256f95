<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import Menu from 'primevue/menu'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { session } from '../features/entrance/session'
import { api } from '../ownerApi'
import LanternMark from './LanternMark.vue'

/** The bar above all pages of a site: its parts, the way to anything, the owner's account. */
const { site } = defineProps<{ site: string }>()
const emit = defineEmits<{ go: []; keys: [] }>()
const router = useRouter()
const route = useRoute()
const parts = [
  { key: 'content', name: 'Content' },
  { key: 'searches', name: 'Searches' },
  { key: 'settings', name: 'Site' },
]
/** What has no part of its own belongs to one. */
const WITHIN: Record<string, string[]> = { content: ['sources', 'health'], settings: ['history'] }
const inPart = (key: string) => [key, ...(WITHIN[key] ?? [])].some(one => route.path.startsWith(`/${site}/${one}`))
const { data: sites } = useQuery({ queryKey: ['sites'], queryFn: api.sites })
const here = computed(() => sites.value?.find(one => one.key === site))
const initials = computed(() =>
  (session.known.value?.name ?? '')
    .split(/\s+/)
    .map(word => word[0] ?? '')
    .join('')
    .slice(0, 2)
    .toUpperCase(),
)
const menu = ref<InstanceType<typeof Menu>>()
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
    command: () => emit('keys'),
  },
  { label: 'Sign out', icon: 'pi pi-sign-out', command: () => void signOut() },
])

async function signOut() {
  await api.signOut()
  session.lost()
  await router.push('/sign-in')
}
</script>

<template>
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
    <button type="button" class="go" @click="emit('go')">
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
      <span aria-hidden="true">{{ initials }}</span>
    </button>
    <Menu ref="menu" :model="account" popup />
  </header>
</template>

<style scoped>
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
