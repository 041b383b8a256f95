<script setup lang="ts">
import LanternMark from '../../frame/LanternMark.vue'

/** A page on which somebody comes in: the product's name, what is asked, a form. */
defineProps<{ title: string; lead: string }>()
</script>

<template>
  <main class="entrance">
    <section class="slip">
      <p class="name">
        <LanternMark :size="30" />
        Tidy Lantern
      </p>
      <h1>{{ title }}</h1>
      <p class="lead">{{ lead }}</p>
      <slot />
    </section>
  </main>
</template>

<style scoped>
.entrance {
  min-height: 100%;
  display: grid;
  place-items: center;
  padding: 32px 16px;
  background: radial-gradient(900px 480px at 50% 12%, #fdf1da, transparent 70%), var(--paper);
}
section {
  width: min(440px, 100%);
  padding: 28px 32px 32px;
  box-shadow: 0 12px 40px rgb(27 42 51 / 10%);
}
.name {
  display: flex;
  align-items: center;
  gap: 8px;
  margin-bottom: 20px;
  font: 600 18px var(--title);
}
/* The form that most of them hold. */
section :deep(form) {
  display: grid;
  gap: 16px;
  margin-top: 24px;
}
section :deep(.wrong:empty) {
  display: none;
}
</style>
