<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core';
import { nextTick, ref } from 'vue';
import Said from '@/words/Said.vue';

/** A piece of the rail as a button: it lists the pieces that could replace it. */
defineProps<{
  label: string;
  groups: { group: string; items: { id: string; name: string; hint: string }[] }[];
  chosen: string;
}>();
const emit = defineEmits<{ choose: [id: string]; open: [] }>();

const isOpen = ref(false);
const list = ref<HTMLElement>();
const trigger = ref<HTMLElement>();

function choose(id: string): void {
  close();
  emit('choose', id);
}

function close(): void {
  isOpen.value = false;
  trigger.value?.focus();
}

onKeyStroke('Escape', close, { target: list });

async function focusFirst(): Promise<void> {
  await nextTick();
  (
    list.value?.querySelector<HTMLElement>('[aria-current=true]') ?? list.value?.querySelector<HTMLElement>('button')
  )?.focus();
}
</script>

<template>
  <el-popover
    v-model:visible="isOpen"
    trigger="click"
    placement="bottom-start"
    :width="300"
    :show-arrow="false"
    :persistent="false"
    @show="emit('open')"
    @after-enter="focusFirst"
  >
    <template #reference>
      <button ref="trigger" type="button" class="swap plain-button" :aria-expanded="isOpen">
        <Said code="rail.swap"
          ><template #label
            ><span class="sr-only">{{ label }}</span></template
          ><template #piece><slot /></template
        ></Said>
      </button>
    </template>
    <div ref="list" class="list" role="group" :aria-label="label">
      <template v-for="part in groups" :key="part.group">
        <h3 v-if="part.group" class="kicker">{{ part.group }}</h3>
        <button
          v-for="item in part.items"
          :key="item.id"
          type="button"
          class="item plain-button"
          :aria-current="item.id === chosen ? 'true' : undefined"
          @click="choose(item.id)"
        >
          <span>{{ item.name }}</span>
          <span class="quiet">{{ item.hint }}</span>
        </button>
      </template>
    </div>
  </el-popover>
</template>

<style scoped>
.swap {
  position: relative;
  display: flex;
  min-width: 24px;
}

.swap:hover :deep(.piece),
.swap:hover :deep(.add) {
  box-shadow: inset 0 -3px 0 var(--line-strong);
}

.swap:focus-visible {
  z-index: 3;
  outline-offset: 1px;
}

.list {
  overflow: auto;
  max-height: 60vh;
}

.list h3 {
  margin: var(--space-4) 0 var(--space-1);
}

.item {
  display: flex;
  flex-direction: column;
  width: 100%;
  padding: var(--space-2) var(--space-4);
  line-height: 1.25;
}

.item .quiet {
  font-size: var(--size-small);
}

.item:hover,
.item[aria-current='true'] {
  background: var(--paper-sunk);
}

.item[aria-current='true'] {
  box-shadow: inset 3px 0 0 var(--ink);
}
</style>
