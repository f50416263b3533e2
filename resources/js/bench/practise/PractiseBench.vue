<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef } from 'vue';
import { useRouter } from 'vue-router';
import { api, ask, type DrillJudged, type Drills } from '@/api/client';
import { useRail } from '@/stores/rail';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';
import DrillCurve from './DrillCurve.vue';
import DrillDebrief from './DrillDebrief.vue';
import DrillPlay from './DrillPlay.vue';
import DrillProgress from './DrillProgress.vue';

/** One question at a time: answer first, then see why. */
const { error, isBusy, attempt } = useAttempt();
const rail = useRail();
const router = useRouter();
const drills = ref<Drills | null>(null);
const chosen = ref('');
const judged = ref<DrillJudged | null>(null);
const title = useTemplateRef<HTMLElement>('title');

const load = () =>
  attempt(async () => {
    drills.value = await ask(api.GET('/drills'));
    chosen.value = '';
    judged.value = null;
    await nextTick();
  });
void load();

async function next(): Promise<void> {
  await load();
  title.value?.focus();
}

const commit = (code: string) =>
  attempt(async () => {
    const question = drills.value?.next;
    if (!question || judged.value) {
      return;
    }
    chosen.value = code;
    judged.value = await ask(api.POST('/drills', { body: { kind: question.kind, seed: question.seed, choice: code } }));
    drills.value = drills.value && { ...drills.value, kinds: judged.value.kinds };
  });

/** A fault is told in its own words, and what stands under the right answer is not said again. */
const isChainNews = computed(
  () => !judged.value?.fault && !judged.value?.choices.some((c) => c.why === judged.value?.chain?.why),
);
const told = (code: string) => judged.value?.choices.find((c) => c.code === code);

/** The chain of the drill, in the rail. */
async function show(path: string): Promise<void> {
  const chain = judged.value?.chain;
  if (chain) {
    await rail.choose({ outlet: chain.outlet, vehicle: chain.vehicle, adapters: chain.adapters });
    await router.push(path);
  }
}
</script>

<template>
  <div class="practise">
    <section v-if="drills?.next" class="drill" aria-labelledby="drill-title">
      <p class="quiet">{{ drills.next.name }}</p>
      <p
        v-for="line in drills.next.played ? drills.next.situation.slice(0, 1) : drills.next.situation"
        :key="line"
        class="situation"
      >
        {{ line }}
      </p>
      <DrillPlay v-if="drills.next.played" :key="drills.next.seed" :kind="drills.next.kind" :seed="drills.next.seed" />
      <DrillCurve
        v-if="drills.next.curve.length > 0"
        :curve="drills.next.curve"
        :expected="judged?.debrief?.forecast?.curve ?? []"
      />
      <h1 id="drill-title" ref="title" tabindex="-1">{{ drills.next.question }}</h1>
      <ul class="choices">
        <li v-for="c in drills.next.choices" :key="c.code">
          <button
            type="button"
            class="choice"
            :class="{
              chosen: c.code === chosen,
              right: told(c.code)?.right,
              wrong: c.code === chosen && told(c.code)?.right === false,
            }"
            :aria-pressed="c.code === chosen"
            :disabled="judged !== null || isBusy"
            @click="commit(c.code)"
          >
            {{ c.words }}
            <span v-if="told(c.code)?.right" class="mark">{{ say('drill.is_right') }}</span>
            <span v-else-if="c.code === chosen && judged" class="mark">{{ say('drill.yours') }}</span>
          </button>
          <p v-if="told(c.code)?.why" class="why">{{ told(c.code)?.why }}</p>
        </li>
      </ul>
      <p v-if="error" class="complaint" role="alert">{{ error }}</p>
      <div v-if="judged" class="after" role="status">
        <p class="verdict" :class="{ good: judged.right }">
          {{ judged.right ? say('drill.right') : say('drill.wrong') }}
        </p>
        <p v-if="judged.chain && isChainNews">
          {{ say('drill.chain', { title: judged.chain.title, why: judged.chain.why }) }}
        </p>
        <p class="acts">
          <el-button type="primary" :loading="isBusy" @click="next">{{ say('drill.next') }}</el-button>
          <template v-if="drills.own && judged.chain">
            <TextButton @click="show('/board')">{{ say('drill.see_board') }}</TextButton>
            <TextButton v-if="judged.fault" @click="show(`/bench?fault=${judged.fault.code}`)">
              {{ say('drill.play') }}
            </TextButton>
          </template>
        </p>
      </div>
      <DrillDebrief
        v-if="judged && judged.gates.length > 0"
        :judged="judged"
        :is-curve-shown="drills.next.curve.length > 0"
      />
    </section>
    <p v-else-if="error" class="complaint" role="alert">{{ error }}</p>
    <p v-else-if="drills" role="status">{{ say('drill.none') }}</p>
    <aside v-if="drills">
      <DrillProgress :kinds="drills.kinds" />
      <p v-if="!drills.own" class="quiet">{{ say('drill.made_up') }}</p>
    </aside>
  </div>
</template>

<style scoped>
.practise {
  display: grid;
  grid-template-columns: minmax(0, 760px) minmax(220px, 330px);
  gap: var(--space-8) var(--space-11);
  justify-content: space-between;
}

.situation {
  margin: var(--space-2) 0;
  font-size: var(--size-lead);
}

h1 {
  margin: var(--space-6) 0 var(--space-5);
}

h1:focus {
  outline: none;
}

.choices {
  display: grid;
  gap: var(--space-4);
  margin: 0;
  padding: 0;
  list-style: none;
}

.choice {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-6);
  justify-content: space-between;
  align-items: center;
  width: 100%;
  min-height: 56px;
  padding: var(--space-4) var(--space-7);
  border: 1.5px solid var(--ink);
  background: var(--paper-raised);
  color: var(--ink);
  font: inherit;
  font-size: var(--size-lead);
  font-weight: 600;
  text-align: start;
  cursor: pointer;
}

.choice:disabled {
  cursor: default;
}

.choice:not(:disabled):hover {
  background: var(--ink-wash);
}

.chosen {
  background: var(--ink);
  forced-color-adjust: none;
  color: var(--on-ink);
}

.right {
  border: 3px solid var(--pine);
}

.wrong {
  border: 3px solid var(--brick);
}

.mark {
  font-size: var(--size-small);
}

.why {
  margin: var(--space-2) 0 0;
  padding-inline-start: var(--space-7);
  font-size: var(--size-small);
}

.verdict {
  margin: var(--space-7) 0 var(--space-2);
  color: var(--brick-text);
  font-size: var(--size-title);
  font-weight: 700;
}

.verdict.good {
  color: var(--pine-text);
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-7);
  align-items: center;
  margin-top: var(--space-5);
}

.acts :deep(.el-button) {
  min-height: 44px;
}

@media (width <= 860px) {
  .practise {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
