<script setup lang="ts">
import Paginator from 'primevue/paginator'

/** The way to other pages of a long list; nothing where there is one page. */
const { pages, perPage, total } = defineProps<{ pages: number; perPage: number; total: number }>()
const page = defineModel<number>({ required: true })
</script>

<template>
  <Paginator
    v-if="pages > 1"
    :rows="perPage"
    :total-records="total"
    :first="(page - 1) * perPage"
    @page="page = $event.page + 1"
  />
</template>
