<script setup lang="ts">
import Button from 'primevue/button'
import InputNumber from 'primevue/inputnumber'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import type { CrawlSettings } from '../../../shared/contract'
import { settingsOf } from '../../kit/settingsOf'

/** Which pages of a site are read, and how gently. */
const { busy } = defineProps<{ busy: boolean }>()
const crawl = defineModel<CrawlSettings>({ required: true })
const settings = settingsOf(crawl)
const emit = defineEmits<{ look: [] }>()
const ways = [
  { value: 'sitemap', label: 'in the sitemap' },
  { value: 'links', label: 'by following links' },
]
</script>

<template>
  <form class="where" @submit.prevent="emit('look')">
    <div class="field">
      <label for="way">Pages are found</label>
      <Select v-model="settings.way" input-id="way" :options="ways" option-label="label" option-value="value" />
    </div>
    <div class="field grow">
      <label for="crawl-address">{{ crawl.way === 'sitemap' ? 'Address of the sitemap' : 'Page to begin at' }}</label>
      <InputText
        id="crawl-address"
        :model-value="crawl.address"
        required
        @update:model-value="settings.address = $event ?? ''"
      />
    </div>
    <div class="field">
      <label for="prefix">Only pages below</label>
      <InputText
        id="prefix"
        :model-value="crawl.prefix ?? ''"
        placeholder="/recipes/"
        @update:model-value="settings.prefix = $event || null"
      />
    </div>
    <div class="field small">
      <label for="most">At most</label>
      <InputNumber v-model="settings.mostPages" input-id="most" :min="1" :max="50000" suffix=" pages" />
    </div>
    <div class="field small">
      <label for="pause">Pause between two</label>
      <InputNumber v-model="settings.pauseMillis" input-id="pause" :min="0" :max="60000" suffix=" ms" />
    </div>
    <Button type="submit" label="Look at the first pages" severity="secondary" outlined :loading="busy" />
  </form>
</template>
