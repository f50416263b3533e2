<script setup lang="ts">
import { onMounted, useTemplateRef } from 'vue';
import { useAccount } from '@/stores/account';
import { useOutbox } from '@/stores/outbox';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';

/** Asks before signing out while entries wait to be sent, and says what happens to them. It works without a network. */
const isOpen = defineModel<boolean>({ required: true });
const account = useAccount();
const outbox = useOutbox();
const dialog = useTemplateRef<HTMLDialogElement>('dialog');

onMounted(() => dialog.value?.showModal());
</script>

<template>
  <Teleport to="body">
    <dialog ref="dialog" class="leave" aria-labelledby="leave-title" @close="isOpen = false">
      <h2 id="leave-title">{{ say('leave.title') }}</h2>
      <p>{{ say('leave.waits', { n: outbox.waiting.length + outbox.refused.length }) }}</p>
      <p class="ways">
        <button type="button" class="way" @click="account.signOut">{{ say('leave.go') }}</button>
        <TextButton @click="dialog?.close()">{{ say('leave.stay') }}</TextButton>
      </p>
    </dialog>
  </Teleport>
</template>

<style scoped>
.leave {
  width: min(460px, 94%);
  padding: var(--space-7) var(--space-8);
  border: 1.5px solid var(--ink);
  background: var(--paper-raised);
  color: var(--ink);
}

.leave::backdrop {
  background: rgb(0 0 0 / 45%);
}

h2 {
  margin: 0 0 var(--space-4);
  font-size: var(--size-title);
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-7);
  align-items: center;
  margin-top: var(--space-6);
}
</style>
