<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { api, ask, wordsOf, type Sums } from '@/api/client';
import { money, month, number } from '@/ui/figures';
import TextButton from '@/ui/TextButton.vue';
import { listed, say } from '@/words/say';
import type { Filter } from './useLog';

/** Energy, hours and money of the filtered sessions, by month, network and car. */
const props = defineProps<{ filter: Filter }>();
/** Once there is an answer, good or bad: what stands below is not pushed away any more. */
const emit = defineEmits<{ settled: [] }>();

type Measure = 'kwh' | 'hours' | 'money';
const sums = ref<{ all: Sums; months: Sums[]; networks: Sums[]; vehicles: Sums[] } | null>(null);
const error = ref('');
/** Lines of a group before somebody asks for all. */
const MOST = 6;
const showsAll = ref(false);
const measure = ref<Measure>('kwh');

watch(
  () => props.filter,
  async (filter) => {
    try {
      sums.value = await ask(api.GET('/session-sums', { params: { query: filter } }));
      error.value = '';
    } catch (e) {
      error.value = wordsOf(e);
    } finally {
      emit('settled');
    }
  },
  { immediate: true },
);

/** Amounts of two currencies cannot be drawn beside each other. */
const isDrawn = computed(() => measure.value !== 'money' || (sums.value?.all.money.length ?? 0) === 1);
const amount = (of: Sums): number => (measure.value === 'money' ? Number(of.money[0]?.amount ?? 0) : of[measure.value]);
const told = (of: Sums): string =>
  measure.value === 'money'
    ? listed(
        'comma',
        of.money.map((m) => money(m.amount, m.currency)),
      ) || number(null)
    : measure.value === 'kwh'
      ? say('figure.kwh', { n: number(of.kwh, of.kwh < 100 ? 1 : 0) })
      : say('log.hours', { n: number(of.hours, 1) });
const groups = computed(() =>
  sums.value
    ? [
        {
          name: say('log.by_month'),
          of: sums.value.months
            .slice(showsAll.value ? 0 : -MOST)
            .map((m) => ({ ...m, key: m.key ? month(m.key) : '' })),
        },
        { name: say('log.by_network'), of: sums.value.networks.slice(0, showsAll.value ? undefined : MOST) },
        { name: say('log.by_car'), of: sums.value.vehicles.slice(0, showsAll.value ? undefined : MOST) },
      ]
    : [],
);
const hasMore = computed(
  () =>
    sums.value !== null &&
    [sums.value.months, sums.value.networks, sums.value.vehicles].some((group) => group.length > MOST),
);
const measures: { value: Measure; label: string }[] = [
  { value: 'kwh', label: say('log.kwh') },
  { value: 'hours', label: say('log.in_hours') },
  { value: 'money', label: say('log.money') },
];
</script>

<template>
  <section v-if="sums && sums.all.sessions > 0" class="sums" :aria-label="say('log.sums')">
    <div class="head">
      <p class="figures">
        {{ told(sums.all) }}
        <span class="quiet">{{ say('log.in_all') }}</span>
      </p>
      <el-segmented v-model="measure" :options="measures" :aria-label="say('log.sums')" />
    </div>
    <div class="groups">
      <dl v-for="group in groups" :key="group.name">
        <dt class="quiet">{{ group.name }}</dt>
        <dd v-for="one in group.of" :key="one.key">
          <span class="key">{{ one.key || '–' }}</span>
          <svg v-if="isDrawn" viewBox="0 0 100 8" preserveAspectRatio="none" height="8" aria-hidden="true">
            <rect :width="Math.max(0.5, (100 * amount(one)) / Math.max(1e-9, ...group.of.map(amount)))" height="8" />
          </svg>
          <span class="figures">{{ told(one) }}</span>
        </dd>
      </dl>
    </div>
    <TextButton v-if="hasMore" :aria-expanded="showsAll" @click="showsAll = !showsAll">
      {{ showsAll ? say('log.fewer_lines') : say('log.all_lines') }}
    </TextButton>
  </section>
  <p v-if="error" class="complaint" role="alert">{{ error }}</p>
</template>

<style scoped>
.sums {
  margin: var(--space-6) 0 var(--space-3);
  padding: var(--space-4) 0;
  border-top: 1px solid var(--line);
}

.head {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3) var(--space-7);
  align-items: center;
  justify-content: space-between;
}

.head .figures {
  font-size: var(--size-title);
  font-weight: 660;
}

.head .quiet {
  font-size: var(--size-label);
  font-weight: 400;
}

.groups {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: var(--space-4) var(--space-9);
}

dl {
  margin: var(--space-2) 0;
  font-size: var(--size-small);
}

dd {
  display: grid;
  grid-template-columns: minmax(0, 84px) minmax(0, 1fr) 88px;
  gap: var(--space-4);
  align-items: center;
  margin: 0;
  min-height: 22px;
}

.key {
  line-height: 1.2;
  overflow-wrap: anywhere;
}

dd .figures {
  text-align: end;
}

svg {
  width: 100%;
}

rect {
  fill: var(--ink);
}

@media (width <= 900px) {
  .groups {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
