<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import type { OwnPage } from '../../../shared/contract'
import CopyBox from '../../kit/CopyBox.vue'
import { formatTime } from '../../kit/format'
import type { ShownDraft } from './useDraftLink'

/** How to see the draft on a page that cannot be shown here: in a tab of its own, or put in by a bookmark. */
const { page, link } = defineProps<{ page: OwnPage; link: ShownDraft }>()
const emit = defineEmits<{ again: [] }>()
const why = computed(() =>
  page.framed
    ? 'The script of the elements is not in this page yet, or comes later.'
    : 'This page does not let itself be shown within another one.',
)
</script>

<template>
  <h3>Your page opens in a tab of its own</h3>
  <p>{{ why }}</p>
  <p>
    <Button as="a" :href="link.to(page.address)" target="_blank" rel="noopener" label="Open it with the draft" />
  </p>
  <template v-if="!page.script">
    <h3>Before the tag is on your site</h3>
    <p>
      Drag this to your bookmarks, open any page of your site, and press it there: a search box with the draft appears
      at the top of that page, for you alone.
    </p>
    <!-- Pressed here it does nothing: the workbench lets no script of this kind run. -->
    <p><a class="bookmark" :href="link.bookmark">Search of my site</a></p>
    <details>
      <summary>Or make the bookmark by hand</summary>
      <CopyBox label="Address of the bookmark" :text="link.bookmark" />
    </details>
  </template>
  <p class="quiet">
    Whoever has the link sees the draft, until {{ formatTime(link.ends) }}.
    <Button label="End all links, and make another" link size="small" @click="emit('again')" />
  </p>
</template>

<style scoped>
h3 {
  margin: 0 0 6px;
  font-size: 17px;
}
h3:not(:first-child) {
  margin-top: 22px;
}
p {
  margin: 0 0 12px;
  max-width: 62ch;
}
.bookmark {
  display: inline-block;
  padding: 8px 16px;
  border: 1px dashed var(--sea);
  border-radius: 8px;
  color: var(--sea);
  font-weight: 600;
  text-decoration: none;
  cursor: grab;
}
</style>
