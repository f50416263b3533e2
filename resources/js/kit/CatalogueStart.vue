<script setup lang="ts">
import { computed, ref } from 'vue';
import { useCatalogue, type Start } from '@/stores/catalogue';
import AnyFace from '@/ui/AnyFace.vue';
import { useAttempt } from '@/ui/useAttempt';
import { holdsWords } from '@/ui/matchesSearch';
import SearchField from '@/ui/SearchField.vue';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';

/** Starts a piece from a kind in the catalogue, and shows what must be read on the piece itself. */
const props = defineProps<{ what: 'chargers' | 'adapters'; place?: string }>();
const emit = defineEmits<{ begin: [start: Start] }>();

const catalogue = useCatalogue();
/** Of many places, which one it would be added to. */
const label = computed(() =>
  props.place === undefined ? undefined : say('kit.add_outlet_to', { place: props.place }),
);
const isOpen = ref(false);
const { error, attempt } = useAttempt();
const wanted = ref('');
const input = ref<{ focus(): void }>();
const all = computed(() =>
  props.what === 'adapters'
    ? [
        {
          name: '',
          items: catalogue.adapters.map((k) => ({ ...k, hint: '', faces: [k.adapter.input, k.adapter.output] })),
        },
      ]
    : (catalogue.catalogue?.groups ?? []).map((g) => ({
        name: g.name,
        items: catalogue.chargers
          .filter((k) => k.group === g.id)
          .map((k) => ({ ...k, hint: k.seen, faces: [k.outlet.coupler] })),
      })),
);
/** Kinds that hold every word that is looked for. */
const groups = computed(() => {
  return all.value
    .map((g) => ({
      ...g,
      items: g.items.filter((i) => holdsWords(wanted.value, g.name, i.id, i.name, i.hint, i.found_by)),
    }))
    .filter((g) => g.items.length > 0);
});

function open(): Promise<void> {
  wanted.value = '';
  isOpen.value = true;
  return attempt(catalogue.load);
}

let chosen: string | null = null;

function choose(id: string): void {
  chosen = id;
  isOpen.value = false;
}

/** Only once the dialog has gone: it gives the focus back to its own button first. */
function hand(): void {
  const start =
    chosen === null ? null : props.what === 'adapters' ? catalogue.adapter(chosen) : catalogue.charger(chosen);
  chosen = null;
  if (start) {
    emit('begin', start);
  }
}
</script>

<template>
  <TextButton aria-haspopup="dialog" :aria-label="label" @click="open">
    {{ what === 'adapters' ? say('kit.add_adapter') : say('kit.add_outlet') }}
  </TextButton>
  <el-dialog
    v-model="isOpen"
    :title="what === 'adapters' ? say('kit.adapter_kinds') : say('kit.charger_kinds')"
    width="min(860px, 94%)"
    append-to-body
    destroy-on-close
    @opened="input?.focus()"
    @closed="hand"
  >
    <SearchField ref="input" v-model="wanted" :label="say('kit.find_kind')" />
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <div class="list">
      <template v-for="group in groups" :key="group.name">
        <h3 v-if="group.name" class="kicker">{{ group.name }}</h3>
        <button
          v-for="item in group.items"
          :key="item.id"
          type="button"
          class="item plain-button"
          @click="choose(item.id)"
        >
          <span class="faces">
            <AnyFace v-for="(face, i) in item.faces" :key="i" :coupler="face" />
          </span>
          <strong>{{ item.name }}</strong> <span class="quiet">{{ item.hint }}</span>
        </button>
      </template>
    </div>
    <p v-if="catalogue.catalogue && groups.length === 0" class="quiet" role="status">
      {{ say('kit.no_kind', { wanted }) }}
    </p>
  </el-dialog>
</template>

<style scoped>
.list {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: var(--space-4);
  overflow: auto;
  max-height: 60vh;
  margin-top: var(--space-5);
}

h3 {
  grid-column: 1 / -1;
  margin: var(--space-4) 0 0;
}

.item {
  display: flex;
  flex-direction: column;
  align-items: center;
  padding: var(--space-5) var(--space-4);
  border: 1.5px solid var(--line);
  background: var(--paper-raised);
  line-height: 1.25;
  text-align: center;
}

.item:hover {
  border-color: var(--ink);
}

.item .quiet {
  font-size: var(--size-small);
}

.faces {
  display: flex;
  gap: var(--space-1);
  align-items: center;
  height: 64px;
  margin-bottom: var(--space-3);
}

.faces :deep(svg) {
  height: 64px;
}

@media (width <= 520px) {
  .list {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
