<script setup lang="ts">
import JointGlyph from '@/ui/JointGlyph.vue';
import LanguageField from './LanguageField.vue';
import { say } from '@/words/say';

/** A screen for visitors: what Harmozon is, next to the form for signing in. */
defineProps<{ title: string }>();
</script>

<template>
  <main class="auth-page">
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
    <section class="inside" :aria-label="title">
      <h2>{{ title }}</h2>
      <slot />
      <LanguageField class="language" />
    </section>
  </main>
</template>

<style scoped>
.auth-page {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(320px, 440px);
  gap: 72px;
  align-items: center;
  max-width: 1040px;
  min-height: 100%;
  margin: 0 auto;
  padding: var(--space-10);
}

.pieces {
  display: flex;
  gap: var(--space-6);
  margin-bottom: var(--space-9);
}

.about h1 {
  margin-bottom: var(--space-6);
  font-family: var(--face-mark);
  font-size: var(--size-digit);
}

.about p {
  max-width: 30em;
  color: var(--ink-soft);
  font-size: var(--size-lead);
}

.inside {
  padding: var(--space-9);
  border: 1.5px solid var(--ink);
  background: var(--paper-raised);
}

.inside h2 {
  margin-bottom: var(--space-6);
  font-size: var(--size-heading);
}

.inside :deep(> p) {
  margin-bottom: var(--space-6);
}

.inside .language {
  margin-block: var(--space-7) 0;
}

.inside :deep(form) {
  display: flex;
  flex-direction: column;
  gap: var(--space-4);
}

.inside :deep(.el-button) {
  width: 100%;
  margin: var(--space-3) 0 0;
}

.inside :deep(a) {
  display: inline-block;
  padding: var(--space-2) 0;
}

.inside :deep(label) {
  font-weight: 600;
}

@media (width <= 760px) {
  .auth-page {
    grid-template-columns: minmax(0, 1fr);
    gap: var(--space-8);
    align-content: start;
    padding: var(--space-8) var(--space-7);
  }

  .about h1 {
    margin-bottom: var(--space-4);
    font-size: var(--size-figure);
  }

  .about p {
    font-size: var(--size-lead);
  }

  .pieces {
    margin-bottom: var(--space-6);
  }

  .inside {
    padding: var(--space-8) var(--space-7);
  }
}
</style>
