<script setup lang="ts">
import { useAccount } from '@/stores/account';
import { useTheme } from '@/ui/useTheme';
import { say } from '@/words/say';

/** Day or night, and the way out. */
const account = useAccount();
const theme = useTheme();
</script>

<template>
  <div class="tools">
    <button type="button" class="plain-button" @click="theme.toggle">
      {{ theme.isNight() ? say('frame.day') : say('frame.night') }}
    </button>
    <slot />
    <RouterLink to="/you" class="plain-button" :title="account.me?.user.name">{{ say('frame.you') }}</RouterLink>
    <button type="button" class="plain-button" @click="account.signOut">
      {{ say('frame.sign_out') }}
    </button>
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
