<script setup lang="ts">
import LimitedText from '../design-rules/LimitedText.vue'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref, watch } from 'vue'
import type { TextChoices, VisitorTexts } from '../../../shared/contract'
import NameButton from '../../kit/NameButton.vue'

/** All texts of one language; any of them can be worded otherwise, with the one as it comes beside it. */
type Reworded = VisitorTexts['reworded'][number]
const { texts, language } = defineProps<{ texts: TextChoices['texts']; language: Reworded['language'] }>()
const reworded = defineModel<readonly Reworded[]>({ required: true })
const find = ref('')
const open = ref<string | null>(null)
watch(
  () => language,
  () => (open.value = null),
)
const ownOf = (text: string) => reworded.value.find(one => one.language === language && one.text === text)
const formsOf = (one: TextChoices['texts'][number]) => ownOf(one.text)?.forms ?? one.forms
const has = (forms: Record<string, string>) =>
  Object.values(forms).some(form => form.toLowerCase().includes(find.value.trim().toLowerCase()))
const shown = computed(() => texts.filter(one => has(one.forms) || has(formsOf(one))))
const others = (text: string) => reworded.value.filter(one => one.language !== language || one.text !== text)
/** All forms together: a plural that lacks one is none. */
function put(one: TextChoices['texts'][number], form: string, wording: string) {
  const forms = { ...formsOf(one), [form]: wording.trim() || one.forms[form]! }
  const isStandard = Object.entries(forms).every(([name, written]) => one.forms[name] === written)
  reworded.value = isStandard ? others(one.text) : [...others(one.text), { language, text: one.text, forms }]
}
const braced = (names: readonly string[]) => names.map(name => `{${name}}`).join(', ')
const FORMS: Readonly<Record<string, string>> = { one: 'For one', many: 'For whole millions', other: 'For others' }
</script>

<template>
  <InputText v-model="find" size="small" placeholder="Find a text" aria-label="Find a text" />
  <ul class="wordings" aria-label="Texts that visitors read">
    <li v-for="one in shown" :key="one.text" :class="{ own: ownOf(one.text) }">
      <NameButton
        :name="formsOf(one).other ?? ''"
        :line="ownOf(one.text) ? 'worded by you' : ''"
        :open="open === one.text"
        @click="open = open === one.text ? null : one.text"
      />
      <div v-if="open === one.text" class="inside">
        <LimitedText
          v-for="(standard, form) in one.forms"
          :key="form"
          :label="Object.keys(one.forms).length > 1 ? (FORMS[form] ?? form) : 'Wording'"
          path="appearance.texts.reworded.forms"
          :placeholder="standard"
          :model-value="formsOf(one)[form] ?? ''"
          @update:model-value="put(one, form, $event)"
        />
        <p v-if="one.placeholders.length > 0" class="quiet">
          {{ braced(one.placeholders) }} stands for what visitors meet there.
        </p>
        <p v-if="ownOf(one.text)" class="quiet">
          As it comes: “{{ one.forms.other }}”
          <Button label="Take that again" size="small" text @click="reworded = others(one.text)" />
        </p>
      </div>
    </li>
  </ul>
  <p v-if="shown.length === 0" class="quiet">No text has these letters.</p>
</template>

<style scoped>
.wordings {
  max-height: 420px;
  margin: 0;
  padding: 0;
  overflow-y: auto;
  list-style: none;
}
.wordings > li {
  border-bottom: 1px solid var(--line);
}
.own {
  border-inline-start: 3px solid var(--lamp);
}
.inside {
  display: grid;
  gap: 8px;
  padding: 4px 4px 12px;
}
</style>
