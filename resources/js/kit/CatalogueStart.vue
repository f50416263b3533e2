<script setup lang="ts">
import { computed, ref } from 'vue';
import { api, ask } from '@/api/client';
import type { components } from '@/api/schema';
import type { Draft } from '@/stores/edit';
import { say } from '@/words/say';

/** Begins a plate from a kind of the catalogue; what its own plate must tell is shown beside it. */
const props = defineProps<{ what: 'chargers' | 'adapters' }>();
const emit = defineEmits<{ begin: [draft: Draft, read: string[]] }>();

const catalogue = ref<components['schemas']['Catalogue'] | null>(null);
const isOpen = ref(false);
const groups = computed(() => {
  const c = catalogue.value;
  if (!c) {
    return [];
  }
  return props.what === 'adapters'
    ? [{ name: say('kit.adapter_kinds'), items: c.adapters.map((k) => ({ ...k, hint: '' })) }]
    : c.groups.map((g) => ({
        name: g.name,
        items: c.chargers.filter((k) => k.group === g.id).map((k) => ({ ...k, hint: k.seen })),
      }));
});

async function load(): Promise<void> {
  catalogue.value ??= await ask(api.GET('/catalogue'));
}

function begin(id: string): void {
  isOpen.value = false;
  const charger = catalogue.value?.chargers.find((k) => k.id === id);
  const adapter = catalogue.value?.adapters.find((k) => k.id === id);
  if (props.what === 'chargers' && charger) {
    emit('begin', { name: charger.name, blurb: '', spec: charger.outlet as Record<string, unknown> }, charger.read);
  } else if (adapter) {
    const spec = adapter.adapter as Record<string, unknown>;
    emit('begin', { name: adapter.name, tag: 'N1', blurb: '', spec }, [say('kit.read_adapter')]);
  }
}
</script>

<template>
  <el-popover
    v-model:visible="isOpen"
    trigger="click"
    placement="bottom-end"
    :width="360"
    :show-arrow="false"
    @show="load"
  >
    <template #reference>
      <button type="button" class="text-button" :aria-expanded="isOpen">
        {{ what === 'adapters' ? say('kit.add_adapter') : say('kit.add_outlet') }}
      </button>
    </template>
    <div class="list">
      <template v-for="group in groups" :key="group.name">
        <h3 class="kicker">{{ group.name }}</h3>
        <button
          v-for="item in group.items"
          :key="item.id"
          type="button"
          class="item plain-button"
          @click="begin(item.id)"
        >
          {{ item.name }} <span class="quiet">{{ item.hint }}</span>
        </button>
      </template>
    </div>
  </el-popover>
</template>

<style scoped>
.list {
  overflow: auto;
  max-height: 56vh;
}

h3 {
  margin: 8px 0 2px;
}

.item {
  display: block;
  width: 100%;
  padding: 4px 8px;
  line-height: 1.3;
}

.item:hover {
  background: var(--paper-sunk);
}

.item .quiet {
  display: block;
  font-size: 12.5px;
}
</style>
