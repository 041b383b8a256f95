<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import { computed, ref } from 'vue'
import { formatSize } from '../../kit/format'
import { api } from '../../ownerApi'
import { useAttempt } from '../../kit/useAttempt'
import { useInstallation } from './useInstallation'
import FileButton from '../../kit/FileButton.vue'

/** What has to be typed before everything that was changed since a copy was made is given up. */
const WORD = 'bring back'

const queries = useQueryClient()
const installation = useInstallation()
const used = computed(() => {
  const now = installation.value
  return now ? Math.round(((now.diskBytes - now.freeBytes) / now.diskBytes) * 100) : 0
})
const copy = ref<File | null>(null)
const typed = ref('')
const said = ref('')
const { busy, wrong, attempt } = useAttempt()

async function bringBack() {
  const file = copy.value
  if (file && (await attempt(() => api.restore(file)))) {
    copy.value = null
    typed.value = ''
    said.value = 'The copy was brought back.'
    await queries.invalidateQueries()
  }
}
</script>

<template>
  <section class="slip">
    <h2>This installation</h2>
    <template v-if="installation">
      <p class="quiet">Tidy Lantern {{ installation.version }}</p>
      <div class="disk" role="img" :aria-label="`The disk is ${used} % full`">
        <i :class="{ full: installation.full }" :style="{ width: `${used}%` }" />
      </div>
      <p>
        <b>{{ formatSize(installation.freeBytes) }} free</b>{{ ' ' }}
        <span class="quiet">
          of {{ formatSize(installation.diskBytes) }}. The database has {{ formatSize(installation.databaseBytes) }};
          below {{ formatSize(installation.reserveBytes) }} nothing is changed any more, and visitors are still
          answered.
        </span>
      </p>
    </template>
    <p class="lead">
      A copy holds all sites with their items, searches and owners. Keep it where nobody else can read it.
    </p>
    <div class="row">
      <Button
        as="a"
        :href="api.installationCopy"
        download
        label="Save a copy"
        icon="pi pi-download"
        severity="secondary"
        outlined
      />
      <FileButton label="Bring a copy back" accept=".zip" :as-text="false" @file="copy = $event" />
      <span class="quiet" role="status">{{ said }}</span>
    </div>
    <Dialog
      :visible="copy !== null"
      modal
      header="Bring a copy back"
      :draggable="false"
      :style="{ width: '480px' }"
      @update:visible="copy = null"
    >
      <form id="restore" @submit.prevent="bringBack">
        <p>
          <b>{{ copy?.name }}</b>
          takes the place of what is here now, on all sites. Everything that was changed since it was made is gone.
          Visitors are answered all the while.
        </p>
        <div class="field">
          <label for="restore-word">Type “{{ WORD }}” to go on</label>
          <InputText id="restore-word" v-model="typed" autocomplete="off" />
        </div>
        <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      </form>
      <template #footer>
        <Button label="Leave it" severity="secondary" text @click="copy = null" />
        <Button
          type="submit"
          form="restore"
          label="Bring it back"
          severity="danger"
          :disabled="typed.trim().toLowerCase() !== WORD"
          :loading="busy"
        />
      </template>
    </Dialog>
  </section>
</template>

<style scoped>
.slip {
  padding: 20px 24px 24px;
  display: grid;
  gap: 14px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
}
.disk {
  height: 8px;
  border-radius: 4px;
  background: var(--line);
  overflow: hidden;
}
.disk i {
  display: block;
  height: 100%;
  background: var(--sea);
}
.disk i.full {
  background: var(--bad);
}
form {
  display: grid;
  gap: 14px;
}
</style>
