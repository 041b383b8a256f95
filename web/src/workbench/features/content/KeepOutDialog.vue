<script setup lang="ts">
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import type { Finding } from '../../../shared/contract'
import { counted, formatNumber } from '../../kit/format'

/** Asks before items are kept out of every search. */
const { finding, collectionLabel } = defineProps<{ finding: Finding; collectionLabel: string; busy: boolean }>()
const emit = defineEmits<{ keepOut: []; close: [] }>()
</script>

<template>
  <Dialog
    visible
    modal
    header="Keep out of search"
    :draggable="false"
    :style="{ width: '460px' }"
    @update:visible="emit('close')"
  >
    <p>
      {{ counted(finding.some.length, 'item') }} of {{ collectionLabel }} will not be found by any search. They stay in
      your content, and you can let them in again.
    </p>
    <p v-if="finding.items > finding.some.length" class="quiet">
      These are the first of {{ formatNumber(finding.items) }}.
    </p>
    <template #footer>
      <Button label="Leave them in" severity="secondary" text @click="emit('close')" />
      <Button label="Keep out of search" :loading="busy" @click="emit('keepOut')" />
    </template>
  </Dialog>
</template>
