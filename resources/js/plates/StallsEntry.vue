<script setup lang="ts">
import { computed } from 'vue';
import { useTerms } from '@/stores/terms';
import TextButton from '@/ui/TextButton.vue';
import { vTyped } from '@/ui/typed';
import { say } from '@/words/say';
import { STALL_COLUMNS as columns } from './stalls';

/** The stalls with one rating, each by the label painted on it. */
interface Stall {
  label: string;
  evse_id?: string | null;
  cabinet?: string | null;
  fault?: string | null;
  bay?: string | null;
  [key: string]: unknown;
}

const terms = useTerms();
const model = defineModel<unknown>({ required: true });
const stalls = computed(() => (Array.isArray(model.value) ? (model.value as Stall[]) : []));

function write(at: number, column: keyof typeof columns | 'bay', typed: string): void {
  const text = typed.trim();
  model.value = stalls.value.map((s, i) =>
    i === at ? { ...s, [column]: column === 'label' ? text : text || null } : s,
  );
}

function remove(at: number): void {
  const rest = stalls.value.filter((_, i) => i !== at);
  model.value = rest.length > 0 ? rest : null;
}

function add(): void {
  model.value = [...stalls.value, { label: String(stalls.value.length + 1), evse_id: null, fault: null }];
}
</script>

<template>
  <template v-if="stalls.length > 0">
    <!-- Each field says the same of itself. -->
    <p class="heads" aria-hidden="true">
      <span v-for="(words, column) in columns" :key="column" :class="column">{{ say(words) }}</span>
      <span class="bay">{{ say('stalls.bay') }}</span>
    </p>
    <ul>
      <li v-for="(stall, i) in stalls" :key="i">
        <input
          v-for="(words, column) in columns"
          :key="column"
          v-typed="stall[column]"
          :class="column"
          :aria-label="say('stalls.of', { what: say(words), n: i + 1 })"
          :placeholder="say(words)"
          :maxlength="column === 'fault' ? 200 : 48"
          autocomplete="off"
          @change="write(i, column, ($event.target as HTMLInputElement).value)"
        />
        <select
          class="bay"
          :value="stall.bay ?? ''"
          :aria-label="say('stalls.of', { what: say('stalls.bay'), n: i + 1 })"
          @change="write(i, 'bay', ($event.target as HTMLSelectElement).value)"
        >
          <option value="">{{ say('stalls.bay_unread') }}</option>
          <option v-for="bay in terms.all('bay')" :key="bay.id" :value="bay.id">{{ bay.words }}</option>
        </select>
        <TextButton :words="say('stalls.remove')" :of="stall.label" @click="remove(i)" />
      </li>
    </ul>
  </template>
  <TextButton class="add" @click="add">{{ say('stalls.add') }}</TextButton>
</template>

<style scoped>
ul,
.heads {
  margin: 0;
  padding: 0;
  list-style: none;
}

li,
.heads {
  display: grid;
  grid-template-columns: 2fr 4fr 2fr 4fr 4fr 56px;
  gap: var(--space-1) var(--space-4);
  align-items: baseline;
}

.heads {
  color: var(--ink-soft);
  font-size: var(--size-small);
}

input {
  width: 100%;
  min-width: 0;
  padding: var(--space-2) var(--space-2);
  border: 0;
  border-bottom: 1.5px solid var(--line-strong);
  background: none;
}

.add {
  align-self: start;
}

/* Too narrow for three columns: what is known against a stall has a line of its own. */
@media (width <= 720px) {
  .heads {
    display: none;
  }

  li {
    grid-template-columns: minmax(60px, 1fr) 2fr auto;
    padding-bottom: var(--space-3);
  }

  li .text-button {
    grid-area: 1 / 3;
  }

  li .fault {
    grid-area: 2 / 1 / auto / span 3;
  }

  li .cabinet {
    grid-area: 3 / 1;
  }

  li .bay {
    grid-area: 3 / 2 / auto / span 2;
  }
}
</style>
