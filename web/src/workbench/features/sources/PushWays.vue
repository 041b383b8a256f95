<script setup lang="ts">
import { computed } from 'vue'

/** How a script sends items. */
const { site, collection } = defineProps<{
  site: string
  /** That is pushed to in the example. */
  collection: string
}>()
const command = computed(
  () => `curl -X PUT ${location.origin}/api/owner/sites/${site}/collections/${collection}/items \\
  -H "Authorization: Bearer YOUR-ACCESS-KEY" -H "Content-Type: application/jsonl" --data-binary @items.jsonl`,
)
</script>

<template>
  <div>
    <p class="lead">
      Send JSON Lines: one object a line, each with an
      <code>id</code>. Fields are made from what comes; an item that is there already is replaced. Access keys are under
      <RouterLink :to="`/${site}/settings`">Site</RouterLink>.
    </p>
    <pre tabindex="0" aria-label="Command that sends items">{{ command }}</pre>
    <p class="quiet ways">
      <code>?partial=true</code>
      leaves what a line does not name.
      <code>"_delete": true</code>
      in a line takes its item away.
      <code>?everything=true</code>
      removes what is not named.
    </p>
  </div>
</template>

<style scoped>
pre {
  margin: 12px 0 0;
  padding: 14px 16px;
  overflow-x: auto;
  background: var(--leaf);
  border: 1px solid var(--line);
  border-radius: 8px;
}
.ways {
  margin-top: 10px;
  font-size: 13px;
}
</style>
