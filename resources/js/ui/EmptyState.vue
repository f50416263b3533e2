<script setup lang="ts">
/** An empty screen: says so, and shows the next step. */
defineProps<{ title: string }>();
</script>

<template>
  <section class="empty">
    <svg viewBox="0 0 120 40" width="120" height="40" aria-hidden="true">
      <path d="M2 4H44V14L60 8V32L44 26V36H2Z" />
      <path d="M70 4H118V36H70V30L86 36V4L70 10Z" class="away" />
    </svg>
    <h1>{{ title }}</h1>
    <div class="body"><slot /></div>
  </section>
</template>

<style scoped>
.empty {
  max-width: 560px;
  margin: 72px auto 0;
  padding: 0 var(--space-9);
}

svg path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}

svg .away {
  stroke: var(--line-strong);
  stroke-dasharray: 5 4;
}

h1 {
  margin: var(--space-7) 0 var(--space-5);
}

.body :deep(a) {
  display: inline-block;
  min-height: 24px;
}

.body {
  color: var(--ink-soft);
  font-size: var(--size-lead);
}
</style>
