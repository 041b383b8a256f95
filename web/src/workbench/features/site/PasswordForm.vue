<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { reactive, ref } from 'vue'
import { api } from '../../ownerApi'
import { session } from '../entrance/session'
import { useAttempt } from '../../kit/useAttempt'

const given = reactive({ old: '', password: '' })
const said = ref('')
const { busy, wrong, attempt } = useAttempt()

async function change() {
  said.value = ''
  const changed = await attempt(async () => session.became(await api.changePassword(given.old, given.password)))
  if (changed) {
    Object.assign(given, { old: '', password: '' })
    said.value = 'Changed. You are signed out everywhere else.'
  }
}
</script>

<template>
  <form class="slip" @submit.prevent="change">
    <h2>Your password</h2>
    <div class="field">
      <label for="old-password">Current password</label>
      <InputText id="old-password" v-model="given.old" type="password" autocomplete="current-password" required />
    </div>
    <div class="field">
      <label for="new-password">New password</label>
      <InputText
        id="new-password"
        v-model="given.password"
        type="password"
        autocomplete="new-password"
        required
        aria-describedby="new-password-help"
      />
      <small id="new-password-help">10 characters or more. Wherever else you are signed in, you are signed out.</small>
    </div>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <div class="row">
      <Button type="submit" label="Change it" severity="secondary" outlined :loading="busy" />
      <span class="quiet" role="status">{{ said }}</span>
    </div>
  </form>
</template>

<style scoped>
.slip {
  padding: 20px 24px 24px;
  display: grid;
  gap: 16px;
}
.row {
  display: flex;
  align-items: center;
  gap: 12px;
}
</style>
