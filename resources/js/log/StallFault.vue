<script setup lang="ts">
import { computed, ref } from 'vue';
import type { SessionLine } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useEdit } from '@/stores/edit';
import { useGarage } from '@/stores/garage';
import { day } from '@/ui/figures';
import { say } from '@/words/say';
import { withValue } from '@/api/dotted';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';

/** A stall's fault, kept with the charger: the next driver is warned, and it ranks last by risk. */
const props = defineProps<{ session: SessionLine }>();

const edit = useEdit();
const garage = useGarage();
const account = useAccount();
const words = ref<string | null>(null);
const { error, attempt } = useAttempt();

const outlet = computed(() => garage.outlet(props.session.outlet.id));
const fault = computed(() => outlet.value?.spec.known_fault ?? null);

function begin(): void {
  words.value = say('stall.begins', { day: day(props.session.started_at, account.zone), words: '' });
}

async function keep(text: string | null): Promise<void> {
  const found = edit.find(props.session.outlet.id);
  if (!found) {
    return;
  }
  await attempt(async () => {
    const spec = withValue(found.draft.spec ?? {}, 'known_fault', text);
    await edit.change(found, { ...found.draft, spec });
    words.value = null;
  });
}
</script>

<template>
  <section v-if="outlet" class="fault" :aria-label="say('stall.section')">
    <p v-if="fault" class="known">
      {{ say('stall.fault', { fault }) }}
      <TextButton @click="keep(null)">{{ say('stall.mended') }}</TextButton>
    </p>
    <form v-else-if="words !== null" @submit.prevent="keep(words?.trim() || null)">
      <label for="stall-fault">{{ say('stall.what') }}</label>
      <input id="stall-fault" v-model="words" maxlength="200" autocomplete="off" />
      <el-button native-type="submit">{{ say('stall.keep') }}</el-button>
      <TextButton @click="words = null">{{ say('stall.leave') }}</TextButton>
    </form>
    <TextButton v-else @click="begin">{{ say('stall.note') }}</TextButton>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
  </section>
</template>

<style scoped>
.fault {
  margin-top: var(--space-8);
}

.known {
  color: var(--ochre-text);
}

form {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-6);
  align-items: center;
}

input {
  flex: 1;
  min-width: 220px;
  padding: var(--space-2) var(--space-4);
  border: 1px solid var(--line-strong);
  background: var(--paper-raised);
}
</style>
