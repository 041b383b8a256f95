<script setup lang="ts">
/** In general words: where such lines can be pasted, and what keeps them from working there. */
const PLACES = [
  {
    name: 'Pages that you write in HTML',
    how: 'The line with the script goes into the head, or anywhere on the page once. The other goes where it should stand.',
  },
  {
    name: 'A site whose pages share a layout',
    how: 'Both lines go into the part that all pages have, such as the header: the box is then on every page.',
  },
  {
    name: 'An editor that builds pages of blocks',
    how: 'Take the block for HTML or code of your own, and paste both lines into it. A block for text shows the lines instead of the box.',
  },
  {
    name: 'A column or footer with small boxes of content',
    how: 'Take the one for HTML of your own. Where there is none, the layout takes the lines.',
  },
  {
    name: 'A field for code in the settings of the site',
    how: 'The line with the script fits there alone. The box goes on its page; without it nothing shows.',
  },
] as const
</script>

<template>
  <details>
    <summary>How the lines go into your site</summary>
    <dl>
      <template v-for="place in PLACES" :key="place.name">
        <dt>{{ place.name }}</dt>
        <dd>{{ place.how }}</dd>
      </template>
    </dl>
    <p class="quiet">
      An editor that takes the lines away when you save keeps no script for your role: ask whoever runs the site to put
      them in. Whether they arrived, <RouterLink :to="{ hash: '#arrived' }">a look at the page</RouterLink> tells.
    </p>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
}
dl {
  margin: 8px 0;
}
dt {
  font-weight: 600;
}
dd {
  margin: 0 0 8px;
}
</style>
