<script setup lang="ts">
import Select from 'primevue/select'
import { useId } from 'vue'
import type { CardChoices, Sign } from '../../../shared/contract'
import FieldFrame from '../../kit/FieldFrame.vue'

/** The sign that stands for a collection. */
const { label, signs } = defineProps<{ label: string; signs: CardChoices['signs'] }>()
const chosen = defineModel<Sign>({ required: true })
const id = useId()
const drawn = (sign: Sign) => signs.find(one => one.sign === sign)
</script>

<template>
  <FieldFrame :label="label" :control="id">
    <Select
      v-model="chosen"
      :input-id="id"
      :options="[...signs]"
      option-label="called"
      option-value="sign"
      size="small"
      class="sign"
    >
      <template #value="{ value }">
        <span class="named">
          <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="drawn(value)?.path" /></svg>
          {{ drawn(value)?.called }}
        </span>
      </template>
      <template #option="{ option }">
        <span class="named">
          <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="option.path" /></svg>
          {{ option.called }}
        </span>
      </template>
    </Select>
  </FieldFrame>
</template>

<style scoped>
.sign {
  width: 204px;
}
.named {
  display: flex;
  align-items: center;
  gap: 8px;
}
svg {
  width: 20px;
  fill: currentColor;
}
</style>
