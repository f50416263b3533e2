<script setup lang="ts">
import { computed } from 'vue';
import { say, type Code } from '@/words/say';

const isOpen = defineModel<boolean>({ required: true });

const keys = computed((): [string, Code][] => [
  ['1 … 6', 'keys.stages'],
  ['← ↑ ↓ →', 'keys.board'],
  ['← →', 'keys.curve'],
  ['Enter', 'keys.enter'],
  ['n', 'keys.new'],
  [say('keys.space_bar'), 'keys.space'],
  ['u', 'keys.undo'],
  ['?', 'keys.help'],
  ['Esc', 'keys.escape'],
]);
</script>

<template>
  <el-dialog v-model="isOpen" :title="say('keys.title')" width="min(440px, 94%)">
    <dl>
      <template v-for="[key, meaning] in keys" :key="key">
        <dt>
          <kbd>{{ key }}</kbd>
        </dt>
        <dd>{{ say(meaning) }}</dd>
      </template>
    </dl>
    <p>
      <RouterLink to="/glossary" @click="isOpen = false">{{ say('screen.glossary') }}</RouterLink>
    </p>
  </el-dialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr);
  gap: var(--space-4) var(--space-6);
  margin: 0;
}

dd {
  margin: 0;
}

p a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}

kbd {
  font-family: var(--face-wide);
  font-weight: 650;
}
</style>
