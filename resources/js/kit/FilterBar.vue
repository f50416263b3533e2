<script setup lang="ts">
import { ref } from 'vue';
import { useTerms } from '@/stores/terms';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';
import type { Wanted } from './useFilters';

/** Search, filters and order for many pieces. */
const wanted = defineModel<Wanted>({ required: true });
const isChoosing = defineModel<boolean>('choosing', { required: true });
defineProps<{ couplers: string[]; networks: string[]; canEdit: boolean }>();
const terms = useTerms();
/** On a phone the filters are one line that opens. */
const isOpen = ref(false);
const orders = [
  { id: 'arranged', words: say('filter.arranged') },
  { id: 'name', words: say('filter.by_name') },
  { id: 'unread', words: say('filter.by_unread') },
] as const;
</script>

<template>
  <form class="sift" role="search" :aria-label="say('filter.title')" @submit.prevent>
    <label class="words">
      {{ say('filter.words') }}
      <input v-model="wanted.words" type="search" autocomplete="off" />
    </label>
    <TextButton class="opens" :aria-expanded="isOpen" @click="isOpen = !isOpen">{{
      say('filter.more_filters')
    }}</TextButton>
    <div class="rest" :class="{ open: isOpen }">
      <label>
        {{ say('filter.coupler') }}
        <select v-model="wanted.coupler">
          <option value="">{{ say('filter.any') }}</option>
          <option v-for="c in couplers" :key="c" :value="c">
            {{ terms.coupler(c) }}
          </option>
        </select>
      </label>
      <label>
        {{ say('filter.current') }}
        <select v-model="wanted.current">
          <option value="">{{ say('filter.any') }}</option>
          <option v-for="c in terms.all('current')" :key="c.id" :value="c.id">{{ c.title }}</option>
        </select>
      </label>
      <label v-if="networks.length > 0">
        {{ say('filter.network') }}
        <select v-model="wanted.network">
          <option value="">{{ say('filter.any') }}</option>
          <option v-for="n in networks" :key="n" :value="n">{{ n }}</option>
        </select>
      </label>
      <label>
        {{ say('filter.order') }}
        <select v-model="wanted.order">
          <option v-for="o in orders" :key="o.id" :value="o.id">{{ o.words }}</option>
        </select>
      </label>
      <label class="tick">
        <input v-model="wanted.isUnread" type="checkbox" />
        {{ say('filter.unread') }}
      </label>
    </div>
    <TextButton v-if="canEdit" :aria-pressed="isChoosing" @click="isChoosing = !isChoosing">
      {{ isChoosing ? say('several.stop') : say('several.begin') }}
    </TextButton>
  </form>
</template>

<style scoped>
.sift {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-7);
  align-items: end;
  padding: var(--space-5) 0 var(--space-2);
}

label {
  display: flex;
  flex-direction: column;
  color: var(--ink-soft);
  font-size: var(--size-small);
}

.words {
  flex: 1 1 180px;
  max-width: 280px;
}

.tick {
  flex-direction: row;
  gap: var(--space-3);
  align-items: center;
  min-height: 30px;
  color: var(--ink);
  font-size: var(--size-label);
}

select {
  max-width: 170px;
}

.rest {
  display: contents;
}

.opens {
  display: none;
}

@media (width <= 720px) {
  .opens {
    display: inline-block;
  }

  .rest {
    display: none;
  }

  .rest.open {
    display: flex;
    flex-wrap: wrap;
    gap: var(--space-4) var(--space-7);
    order: 9;
    width: 100%;
  }
}
</style>
