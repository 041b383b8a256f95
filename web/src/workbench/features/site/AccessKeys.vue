<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { ref } from 'vue'
import type { AccessKey, NewKey } from '../../../shared/contract'
import { formatTime } from '../../kit/format'
import RemarkLine from '../../kit/RemarkLine.vue'
import ShownOnce from '../../kit/ShownOnce.vue'
import { api } from '../../ownerApi'
import { useAttempt } from '../../kit/useAttempt'

const { site } = defineProps<{ site: string }>()
const queries = useQueryClient()
const { data: keys } = useQuery({ queryKey: ['access-keys'], queryFn: api.accessKeys })
const { wrong, attempt } = useAttempt()
const RIGHTS: { value: AccessKey['rights']; label: string }[] = [
  { value: 'content', label: 'Send content' },
  { value: 'answers', label: 'Read answers' },
  { value: 'all', label: 'Everything' },
]
const name = ref('')
const rights = ref<AccessKey['rights']>('content')
const where = ref<'here' | 'everywhere'>('here')
const made = ref<NewKey | null>(null)
const again = () => queries.invalidateQueries({ queryKey: ['access-keys'] })

const add = () =>
  attempt(async () => {
    made.value = await api.addAccessKey({
      name: name.value,
      site: where.value === 'here' ? site : null,
      rights: rights.value,
    })
    name.value = ''
    await again()
  })
const end = (id: number) =>
  attempt(async () => {
    await api.removeAccessKey(id)
    await again()
  })
const may = (key: AccessKey) =>
  `${RIGHTS.find(one => one.value === key.rights)?.label ?? key.rights}, ${key.site === null ? 'on all sites' : key.site === site ? 'on this site' : `on ${key.site}`}`
const used = (key: AccessKey) => (key.lastUsed === null ? 'never used' : `last used ${formatTime(key.lastUsed)}`)
</script>

<template>
  <section class="slip">
    <h2>Access keys</h2>
    <p class="lead">What a script sends instead of a password. Give it no more than it needs.</p>
    <RemarkLine v-if="wrong" bad>{{ wrong }}</RemarkLine>
    <ul v-if="keys && keys.length > 0" class="entries">
      <li v-for="key in keys" :key="key.id">
        <span>
          <b>{{ key.name }}</b>
          <small class="quiet">{{ may(key) }}</small>
          <small class="quiet">made {{ formatTime(key.created) }}, {{ used(key) }}</small>
        </span>
        <small v-if="key.operators" class="quiet">from the settings</small>
        <Button
          v-else
          label="End"
          size="small"
          severity="danger"
          text
          :aria-label="`End the key ${key.name}`"
          @click="end(key.id)"
        />
      </li>
    </ul>
    <p v-else class="quiet">There is none yet.</p>
    <ShownOnce v-if="made" :text="made.key">
      <b>{{ made.name }}</b>: copy it now. It is shown this once and kept by nobody.
    </ShownOnce>
    <form @submit.prevent="add">
      <InputText v-model="name" required maxlength="80" placeholder="What it is for" aria-label="Name of the new key" />
      <div class="row">
        <Select
          v-model="rights"
          :options="RIGHTS"
          option-label="label"
          option-value="value"
          aria-label="What it may do"
        />
        <Select
          v-model="where"
          :options="[
            { value: 'here', label: 'On this site' },
            { value: 'everywhere', label: 'On all sites' },
          ]"
          option-label="label"
          option-value="value"
          aria-label="Where it may do so"
        />
        <Button type="submit" label="Make a key" severity="secondary" outlined />
      </div>
    </form>
  </section>
</template>

<style scoped>
.slip {
  padding: 20px 24px 24px;
  display: grid;
  gap: 16px;
}
form {
  display: grid;
  gap: 10px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
}
</style>
