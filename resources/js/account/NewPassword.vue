<script setup lang="ts">
import { computed } from 'vue';
import { say } from '@/words/say';
import { shortestPassword } from '@/ui/pageSettings';

/** Entry of a new password: it can be shown and pasted, and its length is told. */
const props = defineProps<{ id: string; label: string }>();
const password = defineModel<string>({ required: true });

const least = shortestPassword();
/** From here on the meter is full. */
const plenty = Math.ceil(least * 1.6);
const length = computed(() => [...password.value].length);
const told = computed(() => {
  if (length.value < least) {
    return say('password.short', { n: least - length.value });
  }
  return say(length.value < plenty ? 'password.enough' : 'password.plenty');
});
const describes = `${props.id}-how`;
</script>

<template>
  <label :for="id">{{ label }}</label>
  <el-input
    :id="id"
    v-model="password"
    type="password"
    show-password
    autocomplete="new-password"
    required
    maxlength="128"
    size="large"
    :aria-describedby="describes"
  />
  <div :id="describes" class="how">
    <meter :value="Math.min(length, plenty)" :max="plenty" :low="least" :aria-label="say('password.length')" />
    <span v-if="length === 0" class="quiet">{{ say('account.password_how', { n: least }) }}</span>
    <span v-else class="quiet">{{ told }}</span>
  </div>
</template>

<style scoped>
.how {
  display: flex;
  gap: var(--space-2) var(--space-6);
  align-items: center;
  font-size: var(--size-label);
}

meter {
  flex: 0 0 72px;
  height: 8px;
  border: 1px solid var(--line-strong);
  background: var(--paper);
  appearance: none;
}

meter::-webkit-meter-bar {
  height: 100%;
  border: 0;
  border-radius: 0;
  background: var(--paper);
}

meter::-webkit-meter-optimum-value,
meter::-webkit-meter-suboptimum-value {
  border-radius: 0;
  background: var(--ink);
}

meter::-moz-meter-bar {
  background: var(--ink);
}
</style>
