<script setup lang="ts">
import { computed, ref } from 'vue';
import { useAccount } from '@/stores/account';
import { useOutbox } from '@/stores/outbox';
import { useTheme } from '@/ui/useTheme';
import { say } from '@/words/say';
import LeaveDialog from './LeaveDialog.vue';

/** Day or night, help on a phone, and signing out. */
defineProps<{ hasHelp?: boolean }>();
const emit = defineEmits<{ help: [] }>();
const account = useAccount();
const theme = useTheme();
const outbox = useOutbox();
const isAsked = ref(false);
const waits = computed(() => outbox.waiting.length + outbox.refused.length > 0);

async function leave(): Promise<void> {
  isAsked.value = waits.value;
  if (!waits.value) {
    await account.signOut();
  }
}
</script>

<template>
  <div class="tools">
    <button type="button" class="plain-button" @click="theme.toggle">
      {{ theme.isNight() ? say('frame.day') : say('frame.night') }}
    </button>
    <slot />
    <button v-if="hasHelp" type="button" class="plain-button" @click="emit('help')">{{ say('frame.help') }}</button>
    <RouterLink to="/you" class="plain-button" :title="account.me?.user.name">{{ say('frame.you') }}</RouterLink>
    <button type="button" class="plain-button" @click="leave">
      {{ say('frame.sign_out') }}
    </button>
    <LeaveDialog v-if="isAsked" v-model="isAsked" />
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  gap: var(--space-8);
  align-items: center;
  color: var(--ink-soft);
  font-size: var(--size-label);
  white-space: nowrap;
}

.tools a {
  min-width: 28px;
  padding: var(--space-2) var(--space-1);
  text-align: center;
  color: inherit;
  text-decoration: none;
}

.tools a:hover,
.tools :deep(button:hover) {
  color: var(--ink);
}
</style>
