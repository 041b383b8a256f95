<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { reactive, ref } from 'vue'
import { useRouter } from 'vue-router'
import { RequestFailure } from '../../../shared/http'
import { api } from '../../ownerApi'
import EntranceCard from './EntranceCard.vue'
import { session } from './session'
import AddressInput from '../../kit/AddressInput.vue'
import SwitchLine from '../../kit/SwitchLine.vue'

const router = useRouter()
const given = reactive({ token: '', name: '', password: '', siteName: '', siteAddress: '' })
/** Whether somebody wants to look around first, without a site. */
const tries = ref(false)
const wrong = ref<{ message: string; field: string | null } | null>(null)
const busy = ref(false)

async function begin() {
  busy.value = true
  wrong.value = null
  try {
    const own = tries.value ? { siteName: null, siteAddress: null } : {}
    session.became(await api.firstStart({ ...given, ...own }))
    // Should it fail, this page could not say so: the installation has its owner by then.
    await router.push(tries.value ? '/?sample' : '/')
  } catch (error) {
    if (!(error instanceof RequestFailure)) throw error
    wrong.value = { message: error.message, field: error.field }
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <EntranceCard
    title="Light it for the first time"
    lead="Nobody owns this installation yet. Say who you are and which site it is for; everything else can wait."
  >
    <form @submit.prevent="begin">
      <div class="field">
        <label for="token">The token from its log</label>
        <InputText
          id="token"
          v-model="given.token"
          autocomplete="off"
          required
          :invalid="wrong?.field === 'token'"
          aria-describedby="token-help"
        />
        <small id="token-help">
          The service prints it where it was started, so that no stranger is quicker than you.
        </small>
      </div>
      <template v-if="!tries">
        <div class="field">
          <label for="site-name">Name of your site</label>
          <InputText id="site-name" v-model="given.siteName" required maxlength="80" />
        </div>
        <div class="field">
          <label for="site-address">Its address</label>
          <AddressInput id="site-address" v-model="given.siteAddress" :invalid="wrong?.field === 'address'" />
        </div>
      </template>
      <SwitchLine v-model="tries" label="Only look around, with a sample site" />
      <div class="field">
        <label for="name">Your name</label>
        <InputText id="name" v-model="given.name" autocomplete="username" required maxlength="80" />
      </div>
      <div class="field">
        <label for="password">A password</label>
        <InputText
          id="password"
          v-model="given.password"
          type="password"
          autocomplete="new-password"
          required
          :invalid="wrong?.field === 'password'"
          aria-describedby="password-help"
        />
        <small id="password-help">10 characters or more.</small>
      </div>
      <p class="wrong" role="alert">{{ wrong?.message }}</p>
      <Button type="submit" label="Begin" :loading="busy" fluid />
    </form>
  </EntranceCard>
</template>
