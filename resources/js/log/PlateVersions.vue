<script setup lang="ts">
import { api, ask, type Report } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useTerms } from '@/stores/terms';
import { useUndo } from '@/stores/undo';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { listed, say } from '@/words/say';

/** The ratings a session was checked against: later edits change no verdict until somebody re-checks it. */
const props = defineProps<{ report: Report }>();
const emit = defineEmits<{ judged: [report: Report] }>();

const account = useAccount();
const terms = useTerms();
const undo = useUndo();
const { error, attempt } = useAttempt();
const path = { params: { path: { session: props.report.session.id } } };

async function anew(): Promise<void> {
  await attempt(async () => {
    emit('judged', await ask(api.POST('/sessions/{session}/judge-anew', path)));
    undo.done(say('report.judged_anew'), back);
  });
}
async function back(): Promise<void> {
  await attempt(async () => emit('judged', await ask(api.POST('/sessions/{session}/judge-as-before', path))));
}
</script>

<template>
  <section v-if="report.plates.changed.length > 0 || report.plates.before" class="since">
    <p v-if="report.plates.changed.length > 0">
      {{ say('report.plates_changed', { names: listed('and', report.plates.changed) }) }}
      <TextButton v-if="account.may('record')" @click="anew">
        {{ say('report.judge_anew') }}
      </TextButton>
    </p>
    <p v-if="report.plates.before">
      {{
        say('report.judged_before', {
          verdict: report.plates.before.verdict ? terms.words('verdict', report.plates.before.verdict) : '–',
        })
      }}
      <TextButton v-if="account.may('record')" @click="back">
        {{ say('report.judge_before') }}
      </TextButton>
    </p>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
  </section>
</template>

<style scoped>
.since {
  margin: 0 0 var(--space-6);
  padding: var(--space-3) var(--space-6);
  border-inline-start: 4px solid var(--ochre);
  background: var(--paper-raised);
}

p {
  margin: var(--space-1) 0;
}
</style>
