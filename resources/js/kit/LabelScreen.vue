<script setup lang="ts">
import qrcode from 'qrcode-generator';
import { computed, onMounted } from 'vue';
import { useRoute } from 'vue-router';
import { useGarage } from '@/stores/garage';
import { useTerms } from '@/stores/terms';
import { number } from '@/ui/figures';
import { address } from '@/ui/pageSettings';
import { useAttempt } from '@/ui/useAttempt';
import { listed, say } from '@/words/say';

/** A label to print for one adapter: scanned, it opens the adapter's plate for any member of the garage. */
const route = useRoute();
const garage = useGarage();
const terms = useTerms();
const { error, attempt } = useAttempt();
onMounted(() => attempt(garage.load));

const adapter = computed(() => garage.adapter(String(route.params.id)));
const link = computed(() => `${address()}/kit?piece=${String(route.params.id)}`);
/** A phone can't open an address that leads to itself. */
const isLoopback = computed(() => /^https?:\/\/(localhost|127\.|\[::1\])/.test(address()));
const code = computed(() => {
  const qr = qrcode(0, 'M');
  qr.addData(link.value);
  qr.make();
  const n = qr.getModuleCount();
  let path = '';
  for (let row = 0; row < n; row++) {
    for (let column = 0; column < n; column++) {
      path += qr.isDark(row, column) ? `M${column} ${row}h1v1h-1z` : '';
    }
  }
  return { path, n };
});
const rating = computed(() => {
  const plate = adapter.value?.spec.plate;
  return listed('dot', [
    ...(plate?.max_v == null ? [] : [say('figure.volts', { n: number(plate.max_v) })]),
    ...(plate?.continuous_a == null ? [] : [say('figure.amps', { n: number(plate.continuous_a) })]),
    ...(plate?.boost_a == null
      ? []
      : [say('crate.boost', { amps: number(plate.boost_a), minutes: number(plate.boost_minutes) })]),
  ]);
});
const print = (): void => window.print();
</script>

<template>
  <div class="label-screen">
    <h1 class="screen-only">{{ say('label.title') }}</h1>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <p v-if="!adapter && !error" class="quiet">{{ say('label.gone') }}</p>
    <template v-if="adapter">
      <p class="quiet screen-only">{{ say('label.how', { link }) }}</p>
      <p v-if="isLoopback" class="warning screen-only" role="status">{{ say('label.loopback') }}</p>
      <div class="label">
        <svg :viewBox="`-2 -2 ${code.n + 4} ${code.n + 4}`" role="img" :aria-label="say('label.code', { link })">
          <rect x="-2" y="-2" :width="code.n + 4" :height="code.n + 4" fill="#fff" />
          <path :d="code.path" fill="#000" />
        </svg>
        <div>
          <p class="tag">{{ adapter.tag }}</p>
          <p class="name">{{ adapter.name }}</p>
          <p>
            {{
              say('label.joins', {
                from: terms.couplerName(adapter.spec.input),
                to: terms.couplerName(adapter.spec.output),
              })
            }}
          </p>
          <p class="figures">{{ rating }}</p>
        </div>
      </div>
      <el-button class="screen-only" type="primary" @click="print">{{ say('label.print') }}</el-button>
    </template>
  </div>
</template>

<style scoped>
.label-screen {
  max-width: 640px;
  margin: 0 auto;
  padding: var(--space-8);
}

.label {
  display: grid;
  grid-template-columns: 34mm 1fr;
  gap: 4mm;
  align-items: center;
  width: min(86mm, 100%);
  margin: var(--space-6) 0;
  padding: 3mm;
  border: 1px dashed #888;
  background: #fff;
  color: #000;
}

.label p {
  margin: 0;
  font-size: 9pt;
  line-height: 1.3;
}

.label .tag {
  font-family: var(--face-wide);
  font-size: 20pt;
  font-weight: 700;
}

.label .name {
  font-weight: 600;
}

.warning {
  color: var(--ochre-text);
}
</style>
