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
  padding: 0 20px;
  border-bottom: 1px solid var(--line);
  background: var(--paper);
}

ol {
  display: flex;
  gap: 26px;
  margin: 0;
  padding: 0;
  list-style: none;
}

a {
  display: flex;
  gap: 7px;
  align-items: baseline;
  padding: 9px 0 7px;
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
  font-size: 12px;
  font-weight: 500;
}

.stage-tools {
  align-self: center;
  margin: 0 22px 0 auto;
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
    padding: 15px 4px 13px;
    border-bottom: 0;
    border-top: 3px solid transparent;
    font-size: 13px;
  }

  .key,
  .tools {
    display: none;
  }
}
</style>
