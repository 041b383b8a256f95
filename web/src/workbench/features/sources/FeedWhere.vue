<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'

/** Where a feed is. */
const { busy, example } = defineProps<{ busy: boolean; example: string }>()
const address = defineModel<string>({ required: true })
const emit = defineEmits<{ look: [] }>()
</script>

<template>
  <form class="where" @submit.prevent="emit('look')">
    <div class="field grow">
      <label for="feed-address">Address of the feed</label>
      <div class="line">
        <InputText id="feed-address" v-model="address" required :placeholder="example" />
        <Button type="submit" label="Look" severity="secondary" outlined :loading="busy" />
      </div>
    </div>
  </form>
</template>
