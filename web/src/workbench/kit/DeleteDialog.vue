<script setup lang="ts">
import Button from 'primevue/button'
import Dialog from 'primevue/dialog'
import InputText from 'primevue/inputtext'
import { computed, ref, watch } from 'vue'
import { useAttempt } from './useAttempt'

/** Deletes something once its name was typed. */
const { what, name, effect, act } = defineProps<{
  what: string
  name: string
  effect: string
  act: (typed: string) => Promise<unknown>
}>()
const emit = defineEmits<{ done: [] }>()
const shown = defineModel<boolean>({ required: true })
const typed = ref('')
const { busy, wrong, attempt } = useAttempt()
const isIt = computed(() => typed.value.trim() === name.trim())
watch(shown, () => {
  typed.value = ''
})
async function go() {
  if (isIt.value && (await attempt(() => act(typed.value.trim())))) {
    shown.value = false
    emit('done')
  }
}
</script>

<template>
  <Dialog v-model:visible="shown" modal :header="`Delete ${what}`" :draggable="false" :style="{ width: '480px' }">
    <form id="deleting" @submit.prevent="go">
      <slot />
      <p>{{ effect }} For 30 days you can bring it back, under <i>Site</i>.</p>
      <div class="field">
        <label for="delete-name">
          Type its name,
          <b>{{ name }}</b>
        </label>
        <InputText id="delete-name" v-model="typed" autocomplete="off" autofocus />
      </div>
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    </form>
    <template #footer>
      <Button label="Keep it" severity="secondary" text @click="shown = false" />
      <Button type="submit" form="deleting" label="Delete it" severity="danger" :disabled="!isIt" :loading="busy" />
    </template>
  </Dialog>
</template>

<style scoped>
form {
  display: grid;
  gap: 16px;
}
form p {
  margin: 0;
}
</style>
