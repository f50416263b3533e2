<script setup lang="ts">
import { defineAsyncComponent, onMounted, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import ChainRail from '@/rail/ChainRail.vue';
import { useAccount } from '@/stores/account';
import { useBoard } from '@/stores/board';
import { useGarage } from '@/stores/garage';
import { useRail } from '@/stores/rail';
import { useTerms } from '@/stores/terms';
import PrintHead from '@/rail/PrintHead.vue';
import UndoBar from './UndoBar.vue';
import { useUndo } from '@/stores/undo';
import AccountTools from './AccountTools.vue';
import PackReminder from './PackReminder.vue';
import StageStrip from './StageStrip.vue';
import QueueLine from '@/connect/QueueLine.vue';
import { useOutbox } from '@/stores/outbox';
import { stages } from './stages';
import { useAddress } from './useAddress';
import { useShortcuts } from '@/ui/useShortcuts';
import { say } from '@/words/say';
import { wordsOf } from '@/api/client';

/** Rarely used parts are loaded on demand. */
const ShortcutsDialog = defineAsyncComponent(() => import('./ShortcutsDialog.vue'));
const SignInAgain = defineAsyncComponent(() => import('./SignInAgain.vue'));

const garage = useGarage();
const account = useAccount();
const rail = useRail();
const board = useBoard();
const terms = useTerms();
const router = useRouter();
const undo = useUndo();
const outbox = useOutbox();
const isReady = ref(false);
const error = ref('');
const showsKeys = ref(false);
const drawsKeys = ref(false);
const drawsSignIn = ref(false);
watch(showsKeys, () => (drawsKeys.value = true));
watch(
  () => account.isExpired,
  (isExpired) => (drawsSignIn.value ||= isExpired),
  { immediate: true },
);

onMounted(async () => {
  try {
    const top = board.open();
    await Promise.all([terms.load(), garage.load()]);
    isReady.value = true;
    void outbox.start();
    await Promise.all([top.then(board.complete), rail.refresh()]);
  } catch (e) {
    error.value = wordsOf(e);
  }
});

useAddress(isReady);
useShortcuts({
  ...Object.fromEntries(stages.map((stage, i) => [String(i + 1), () => router.push(stage.path)])),
  n: () => router.push('/connect'),
  u: () => undo.takeBack(),
  '?': () => {
    showsKeys.value = !showsKeys.value;
  },
});
</script>

<template>
  <div class="frame">
    <a class="skip" href="#stage">{{ say('frame.skip') }}</a>
    <section class="top" :aria-label="say('frame.rail')">
      <AccountTools class="by-hand" has-help @help="showsKeys = true" />
      <ChainRail />
    </section>
    <div class="queue-line">
      <QueueLine v-if="isReady" />
      <PackReminder v-if="isReady" />
    </div>
    <StageStrip class="strip" @keys="showsKeys = true" />
    <main id="stage" class="stage" tabindex="-1">
      <p v-if="error" class="complaint" role="alert">{{ error }}</p>
      <template v-else-if="isReady"><PrintHead /><slot /></template>
      <p v-else class="loading quiet" role="status">{{ say('frame.opening') }}</p>
    </main>
    <UndoBar />
    <ShortcutsDialog v-if="drawsKeys" v-model="showsKeys" />
    <SignInAgain v-if="drawsSignIn" />
  </div>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template: auto auto auto minmax(0, 1fr) / minmax(0, 1fr);
  height: 100%;
}

.skip {
  position: absolute;
  z-index: 40;
  top: -60px;
  inset-inline-start: 12px;
  padding: var(--space-4) var(--space-6);
  background: var(--ink);
  color: var(--on-ink);
}

.skip:focus {
  top: 8px;
}

.top {
  border-bottom: 1px solid var(--line);
  background: var(--paper-sunk);
}

/* On a narrow screen the strip holds the stages alone. */
.by-hand {
  display: none;
}

/* Positioned, so that what is hidden inside it for screen readers is clipped with it. */
.stage {
  position: relative;
  overflow: auto;
  outline: none;
}

/* The rows keep their places, whether it is there or not. */
.top {
  grid-row: 1;
}

.queue-line {
  grid-row: 2;
}

.strip {
  grid-row: 3;
}

.stage {
  grid-row: 4;
}

.loading,
.complaint {
  margin: var(--space-11);
}

@media (width <= 720px) {
  .frame {
    grid-template: auto auto minmax(0, 1fr) auto / minmax(0, 1fr);
  }

  .stage {
    grid-row: 3;
  }

  .strip {
    grid-row: 4;
  }

  .by-hand {
    display: flex;
    justify-content: flex-end;
    padding: var(--space-1) var(--space-6) 0;
    font-size: var(--size-small);
  }
}
</style>
