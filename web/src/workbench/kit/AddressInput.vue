<script setup lang="ts">
import InputText from 'primevue/inputtext'

/** The address of a website. What browsers leave to be understood may be left out; the service writes it whole. */
const { invalid = false } = defineProps<{ invalid?: boolean }>()
const address = defineModel<string>({ required: true })
</script>

<template>
  <InputText
    v-model="address"
    required
    inputmode="url"
    autocapitalize="off"
    autocomplete="url"
    spellcheck="false"
    placeholder="https://www.your-site.example"
    :invalid="invalid"
  />
</template>
