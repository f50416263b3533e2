<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import AccountTools from './AccountTools.vue';
import { stages } from './stages';
import { say } from '@/words/say';

defineEmits<{ keys: [] }>();

const route = useRoute();
const current = computed(() => route.meta.stage);
</script>

<template>
  <nav class="strip" :aria-label="say('frame.stages')">
    <ol>
      <li v-for="(stage, i) in stages" :key="stage.name">
        <RouterLink
          :to="stage.path"
          :class="{ here: current === stage.name }"
          :aria-current="current === stage.name ? 'page' : undefined"
        >
          <span class="key" aria-hidden="true">{{ i + 1 }}</span>
          <span class="title">{{ say(stage.title) }}</span>
        </RouterLink>
      </li>
    </ol>
    <div id="stage-tools" class="stage-tools" />
    <AccountTools class="tools">
      <button type="button" class="plain-button" @click="$emit('keys')"><kbd>?</kbd> {{ say('frame.keys') }}</button>
    </AccountTools>
  </nav>
</template>

<style scoped>
.strip {
  display: flex;
  justify-content: space-between;
  padding: 0 var(--space-8);
  border-bottom: 1px solid var(--line);
  background: var(--paper);
}

ol {
  display: flex;
  gap: var(--space-9);
  margin: 0;
  padding: 0;
  list-style: none;
}

a {
  display: flex;
  gap: var(--space-3);
  align-items: baseline;
  padding: var(--space-4) 0 var(--space-3);
  border-bottom: 3px solid transparent;
  color: var(--ink-soft);
  font-family: var(--face-wide);
  font-weight: 600;
  text-decoration: none;
}

a:hover {
  color: var(--ink);
}

a.here {
  border-color: var(--ink);
  color: var(--ink);
}

.key {
  color: var(--ink-faint);
  font-size: var(--size-note);
  font-weight: 500;
}

.stage-tools {
  align-self: center;
  margin-block: 0;
  margin-inline: auto var(--space-8);
}

@media (width <= 720px) {
  .strip {
    padding: 0 4px env(safe-area-inset-bottom);
    border-top: 1.5px solid var(--ink);
    border-bottom: 0;
  }

  ol {
    flex: 1;
    gap: 0;
  }

  li {
    flex: 1 1 auto;
  }

  a {
    justify-content: center;
    padding: var(--space-7) var(--space-2) var(--space-6);
    border-bottom: 0;
    border-top: 3px solid transparent;
    /* Six names side by side, in the longest of our languages. */
    font-family: var(--face-text);
    font-size: clamp(0.72rem, 3.6vw, var(--size-small));
    letter-spacing: -0.01em;
  }

  .key,
  .tools {
    display: none;
  }
}
</style>
