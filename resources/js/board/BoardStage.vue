<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core';
import { computed, defineAsyncComponent, nextTick, onMounted, ref, watch } from 'vue';
import { useAccount } from '@/stores/account';
import { useBoard } from '@/stores/board';
import { useExperience } from '@/stores/experience';
import { useGarage } from '@/stores/garage';
import { useRail } from '@/stores/rail';
import { useTerms } from '@/stores/terms';
import EmptyState from '@/ui/EmptyState.vue';
import TextButton from '@/ui/TextButton.vue';
import Said from '@/words/Said.vue';
import { say } from '@/words/say';
import BoardLegend from './BoardLegend.vue';
import BoardMatrix from './BoardMatrix.vue';
import BoardPhone from './BoardPhone.vue';
import PackLine from './PackLine.vue';
import WhyPanel from './WhyPanel.vue';

/** Loaded when first needed. */
const IdentifyDialog = defineAsyncComponent(() => import('./IdentifyDialog.vue'));
const WhyDrawer = defineAsyncComponent(() => import('./WhyDrawer.vue'));

const board = useBoard();
const garage = useGarage();
const rail = useRail();
onMounted(useExperience().loadStalls);
const isEmpty = computed(() => garage.vehicles.length === 0);
const account = useAccount();
const terms = useTerms();
/** Widths of a sheet of paper, of the names and of a car (px). */
const [SHEET_PX, NAMES_PX, CAR_PX] = [650, 222, 136];
const onPaper = computed(() => Math.min(1, SHEET_PX / (NAMES_PX + CAR_PX * garage.vehicles.length)).toFixed(2));
const isWide = useMediaQuery('(width > 1000px)');
const isNarrow = useMediaQuery('(width <= 720px)');
const showsDrawer = ref(false);
const showsIdentify = ref(false);
const why = ref<{ focus(): void }>();
const drawsIdentify = ref(false);
const drawsDrawer = ref(false);

const kits = [
  { label: say('board.kit_own'), value: 'own' },
  { label: say('board.kit_buy'), value: 'buy' },
  { label: say('board.kit_none'), value: 'none' },
];

async function choose(outlet: string, vehicle: string, opensWhy: boolean): Promise<void> {
  await rail.choose({ outlet, vehicle });
  showsDrawer.value = !isWide.value;
  drawsDrawer.value ||= showsDrawer.value;
  if (opensWhy) {
    await nextTick();
    why.value?.focus();
  }
}

/** Back from Why to the chosen cell, so that the arrows go on from there. */
function backToCell(): void {
  showsDrawer.value = false;
  document.querySelector<HTMLElement>('[data-cell][tabindex="0"]')?.focus();
}

let foundRow: string | null = null;

function found(outletId: string | null): void {
  foundRow = outletId;
  showsIdentify.value = false;
}

/** Only once the dialog has gone: it gives the focus back to its own button first. */
function toFoundRow(): void {
  document.querySelector<HTMLElement>(`[data-row="${foundRow}"]`)?.focus();
  foundRow = null;
}

watch([() => board.kit, () => board.policy], () => rail.refresh());
</script>

<template>
  <div class="board-stage" :style="{ '--on-paper': onPaper }">
    <section class="board" aria-labelledby="board-title" data-scrolls data-sideways>
      <h1 id="board-title" class="sr-only">{{ say('board.title') }}</h1>
      <!-- On a wide screen the switches stand in the strip, so that the board keeps its height. -->
      <Teleport defer to="#stage-tools" :disabled="!isWide">
        <div class="switches">
          <el-segmented v-model="board.kit" :options="kits" :aria-label="say('board.which_adapters')" />
          <select v-model="board.policy" class="policy" :aria-label="say('board.policy')">
            <option v-for="p in terms.all('policy')" :key="p.id" :value="p.id">{{ p.words }}</option>
          </select>
        </div>
      </Teleport>
      <p v-if="board.error" class="complaint" role="alert">{{ board.error }}</p>
      <EmptyState v-if="isEmpty" :title="say('board.empty')">
        <p>
          <Said code="board.empty_how">
            <template #car
              ><RouterLink v-if="account.may('edit')" to="/new-car" class="begin">{{
                say('board.begin_car')
              }}</RouterLink></template
            >
            <template #kit
              ><RouterLink to="/kit">{{ say('screen.kit') }}</RouterLink></template
            >
          </Said>
        </p>
      </EmptyState>
      <template v-else>
        <p v-if="garage.areKinds" class="kinds">
          <Said code="board.kinds">
            <template #kit
              ><RouterLink to="/kit">{{ say('screen.kit') }}</RouterLink></template
            >
          </Said>
        </p>
        <PackLine />
        <BoardPhone v-if="isNarrow" @choose="choose" />
        <BoardMatrix v-else @choose="choose" />
        <p v-if="garage.areKinds && garage.elsewhere > 0" class="kinds">
          <TextButton @click="garage.showsElsewhere = !garage.showsElsewhere">{{
            garage.showsElsewhere ? say('board.hide_elsewhere') : say('board.show_elsewhere', { n: garage.elsewhere })
          }}</TextButton>
        </p>
      </template>
      <div class="foot">
        <BoardLegend />
        <TextButton @click="drawsIdentify = showsIdentify = true">
          {{ say('board.what_plug') }}
        </TextButton>
      </div>
      <IdentifyDialog v-if="drawsIdentify" v-model="showsIdentify" @found="found" @closed="toFoundRow" />
    </section>
    <aside v-if="isWide" class="why" :aria-label="say('why.title')">
      <WhyPanel ref="why" @back="backToCell" />
    </aside>
    <WhyDrawer v-else-if="drawsDrawer" ref="why" v-model="showsDrawer" @back="backToCell" />
  </div>
</template>

<style scoped>
.board-stage {
  display: flex;
  height: 100%;
}

.board {
  flex: 1;
  overflow: auto;
  min-width: 0;

  /* What is brought into view does not stop under the names. */
  scroll-padding-block: 64px 12px;
  scroll-padding-inline: 170px 12px;
  padding: 0 var(--space-8) var(--space-5);
}

.switches {
  display: flex;
  gap: var(--space-5);
  align-items: center;
}

.foot {
  display: flex;
  gap: var(--space-7);
  align-items: flex-end;
  justify-content: space-between;
}

.foot .text-button {
  flex: none;
}

.kinds {
  margin: var(--space-5) 0 0;
  color: var(--ink-soft);
}

.policy {
  width: 168px;
}

.why {
  flex: 0 0 372px;
  overflow: auto;
  padding: var(--space-7) var(--space-8) var(--space-9);
  border-inline-start: 1px solid var(--line);
  background: var(--paper-raised);
}

@media (width <= 720px) {
  .board {
    padding: var(--space-4) var(--space-6) var(--space-8);
  }

  .switches {
    position: sticky;
    inset-inline-start: 0;
    flex-wrap: wrap;
    width: fit-content;
    max-width: calc(100vw - 24px);
    margin-bottom: var(--space-3);
  }
}

/* Small enough for every car to be on the sheet. */
@media print {
  .board-stage {
    zoom: var(--on-paper);
  }
}
</style>
