<script setup lang="ts">
/** A part of many settings. While it is folded, a line says what is set in it. */
const { title, said } = defineProps<{ title: string; said: string }>()
const open = defineModel<boolean>('open', { default: false })
</script>

<template>
  <section class="folding" :aria-label="title">
    <button type="button" :aria-expanded="open" @click="open = !open">
      <i :class="open ? 'pi pi-angle-down' : 'pi pi-angle-right'" aria-hidden="true" />
      <b>{{ title }}</b>
      <small v-if="!open" class="quiet">{{ said }}</small>
    </button>
    <div v-if="open" class="inside"><slot /></div>
  </section>
</template>

<style scoped>
.folding {
  border-top: 1px solid var(--line);
}
button {
  display: flex;
  align-items: baseline;
  gap: 8px;
  width: 100%;
  min-height: 36px;
  padding: 8px 0 0;
  border: 0;
  background: none;
  font: inherit;
  color: inherit;
  text-align: start;
  cursor: pointer;
}
b {
  flex: none;
  font-size: 14px;
  font-weight: 650;
}
/* However long the line is, it makes nothing around it wider. */
small {
  flex: 1;
  width: 0;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  text-align: end;
}
.inside {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
  padding: 10px 0 4px;
}
</style>
