<script setup lang="ts">
import JointGlyph from '@/ui/JointGlyph.vue';
import { say } from '@/words/say';

/** A screen for who is not inside: what this is, and the way in beside it. */
defineProps<{ title: string }>();
</script>

<template>
  <main class="door">
    <section class="about">
      <div class="pieces" aria-hidden="true">
        <JointGlyph outcome="charges" />
        <JointGlyph outcome="limited" :tags="['A1']" />
        <JointGlyph outcome="wont_charge" />
      </div>
      <h1>{{ say('harmozon') }}</h1>
      <p>{{ say('account.promise') }}</p>
      <slot name="beside" />
    </section>
    <section class="way" :aria-label="title">
      <h2>{{ title }}</h2>
      <slot />
    </section>
  </main>
</template>

<style scoped>
.door {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(320px, 440px);
  gap: 72px;
  align-items: center;
  max-width: 1040px;
  min-height: 100%;
  margin: 0 auto;
  padding: 32px;
}

.pieces {
  display: flex;
  gap: 14px;
  margin-bottom: 28px;
}

.about h1 {
  margin-bottom: 14px;
  font-family: var(--face-mark);
  font-size: 46px;
}

.about p {
  max-width: 30em;
  color: var(--ink-soft);
  font-size: 18px;
}

.way {
  padding: 28px;
  border: 1.5px solid var(--ink);
  background: var(--paper-raised);
}

.way h2 {
  margin-bottom: 12px;
  font-size: 22px;
}

.way :deep(> p) {
  margin-bottom: 12px;
}

.way :deep(form) {
  display: flex;
  flex-direction: column;
  gap: 8px;
}

.way :deep(.el-button) {
  width: 100%;
  margin: 6px 0 0;
}

.way :deep(a) {
  display: inline-block;
  padding: 4px 0;
}

.way :deep(label) {
  font-weight: 600;
}

@media (width <= 760px) {
  .door {
    grid-template-columns: minmax(0, 1fr);
    gap: 20px;
    align-content: start;
    padding: 20px 16px;
  }

  .about h1 {
    margin-bottom: 8px;
    font-size: 34px;
  }

  .about p {
    font-size: 16px;
  }

  .pieces {
    margin-bottom: 12px;
  }

  .way {
    padding: 20px 16px;
  }
}
</style>
