<script setup lang="ts">
import { isOpen } from '@/ui/pageSettings';
import { useTerms } from '@/stores/terms';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';
import NewCarStage from './NewCarStage.vue';

/** The questions about a car for a visitor without an account. The answers stay on their device. */
const terms = useTerms();
const again = (): void => window.location.reload();
</script>

<template>
  <div class="check">
    <header>
      <RouterLink to="/" class="mark">{{ say('harmozon') }}</RouterLink>
      <nav :aria-label="say('check.ways')">
        <RouterLink to="/sign-in">{{ say('account.sign_in') }}</RouterLink>
        <RouterLink v-if="isOpen()" to="/begin">{{ say('check.make_account') }}</RouterLink>
      </nav>
    </header>
    <main>
      <NewCarStage v-if="terms.isLoaded" />
      <p v-else class="complaint" role="alert">
        {{ say('check.not_reached') }} <TextButton @click="again">{{ say('trouble.anew') }}</TextButton>
      </p>
    </main>
  </div>
</template>

<style scoped>
.check {
  display: flex;
  flex-direction: column;
  height: 100%;
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3) var(--space-8);
  align-items: baseline;
  justify-content: space-between;
  padding: var(--space-4) var(--space-8);
  border-bottom: 1.5px solid var(--ink);
}

.mark {
  color: var(--ink);
  font-family: var(--face-mark);
  font-size: var(--size-heading);
  text-decoration: none;
}

nav {
  display: flex;
  gap: var(--space-7);
}

nav a {
  display: flex;
  align-items: center;
  min-height: 44px;
}

main {
  flex: 1;
  min-height: 0;
}

.complaint {
  padding: var(--space-8);
}

@media (width <= 520px) {
  header {
    padding: var(--space-3) var(--space-6);
  }
}
</style>
