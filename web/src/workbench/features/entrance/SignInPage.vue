<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api } from '../../ownerApi'
import EntranceCard from './EntranceCard.vue'
import { session } from './session'
import { useAttempt } from '../../kit/useAttempt'

const route = useRoute()
const router = useRouter()
const name = ref('')
const password = ref('')
const { busy, wrong, attempt } = useAttempt()

const signIn = () =>
  attempt(async () => {
    session.became(await api.signIn(name.value, password.value))
    await router.push(typeof route.query.to === 'string' && route.query.to.startsWith('/') ? route.query.to : '/')
  })
</script>

<template>
  <EntranceCard title="Sign in" lead="To the workbench of this installation.">
    <form @submit.prevent="signIn">
      <div class="field">
        <label for="name">Name</label>
        <InputText id="name" v-model="name" autocomplete="username" required autofocus />
      </div>
      <div class="field">
        <label for="password">Password</label>
        <InputText
          id="password"
          v-model="password"
          type="password"
          autocomplete="current-password"
          required
          :invalid="wrong !== ''"
          aria-describedby="wrong"
        />
      </div>
      <p id="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <Button type="submit" label="Sign in" :loading="busy" fluid />
    </form>
  </EntranceCard>
</template>
