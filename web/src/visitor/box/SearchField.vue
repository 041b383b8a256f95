<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ArrangementFace } from '../../shared/contract'
import { useTexts } from '../texts'
import BoxSign from './BoxSign.vue'
import type { BoxChoice } from './useChooser'

/** The box itself: what can be chosen in it, the words, the cross that takes them away, the button that asks. */
const { arrangement, list } = defineProps<{
  arrangement: ArrangementFace
  /** What the words are called. */
  named: string
  /** What stands there while nothing is typed. */
  placeholder: string
  /** The list that belongs to it: its id while it shows, and that of its row which Enter would choose. */
  list: { id: string | undefined; active: string | undefined; offered: boolean }
  chooser: BoxChoice | null
}>()
const text = defineModel<string>({ required: true })
const emit = defineEmits<{ typed: []; entered: []; key: [event: KeyboardEvent]; clear: [] }>()
const { say } = useTexts()
const input = ref<HTMLInputElement>()
defineExpose({ focus: () => input.value?.focus() })

const hasButton = computed(() => arrangement.shows !== 'no-button')
/** Without a list to come the words are a plain field. */
const combobox = computed(() =>
  list.offered
    ? {
        role: 'combobox',
        'aria-autocomplete': 'list' as const,
        'aria-haspopup': 'listbox' as const,
        'aria-expanded': list.id !== undefined,
        'aria-controls': list.id,
        'aria-activedescendant': list.active,
      }
    : {},
)
</script>

<template>
  <div class="boxed" :class="[`button-${arrangement.side}`, `shows-${arrangement.shows}`]">
    <div class="box" part="box">
      <label v-if="chooser" class="chooser">
        <span class="unseen">{{ say('searchIn') }}</span>
        <select part="chooser" @change="chooser.choose(($event.target as HTMLSelectElement).value)">
          <option value="">{{ say('all') }}</option>
          <option
            v-for="one in chooser.values"
            :key="one.value"
            :value="one.value"
            :selected="one.value === chooser.chosen"
          >
            {{ one.label }}
          </option>
        </select>
      </label>
      <span v-if="!hasButton" class="mark-sign"><BoxSign :path="arrangement.sign" :size="arrangement.signSize" /></span>
      <input
        ref="input"
        v-model="text"
        part="input"
        type="search"
        name="q"
        autocomplete="off"
        autocapitalize="off"
        spellcheck="false"
        enterkeyhint="search"
        :aria-label="named"
        :placeholder="placeholder"
        v-bind="combobox"
        @input="emit('typed')"
        @focus="emit('entered')"
        @keydown="emit('key', $event)"
      />
      <button
        v-if="text && arrangement.clear === 'inside'"
        type="button"
        class="clear"
        part="clear"
        :aria-label="say('clear')"
        @click="emit('clear')"
      >
        <svg viewBox="0 0 18 18" aria-hidden="true"><path d="m4.5 4.5 9 9m0-9-9 9" /></svg>
      </button>
      <button
        v-if="hasButton"
        type="submit"
        class="submit"
        part="submit"
        :aria-label="arrangement.shows === 'sign' ? say('search') : undefined"
      >
        <BoxSign v-if="arrangement.shows !== 'word'" :path="arrangement.sign" :size="arrangement.signSize" />
        <span v-if="arrangement.shows !== 'sign'">{{ say('search') }}</span>
      </button>
    </div>
    <button
      v-if="arrangement.clear === 'beside'"
      type="button"
      class="clear beside-box"
      part="clear"
      :disabled="!text"
      :aria-label="say('clear')"
      @click="emit('clear')"
    >
      <svg viewBox="0 0 18 18" aria-hidden="true"><path d="m4.5 4.5 9 9m0-9-9 9" /></svg>
    </button>
  </div>
</template>
