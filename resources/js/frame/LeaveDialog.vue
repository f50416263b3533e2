<script setup lang="ts">
import { useAccount } from '@/stores/account';
import { useOutbox } from '@/stores/outbox';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';

/** Before one signs out while something waits to be sent: what becomes of it. */
const isOpen = defineModel<boolean>({ required: true });
const account = useAccount();
const outbox = useOutbox();
</script>

<template>
  <el-dialog v-model="isOpen" :title="say('leave.title')" width="min(460px, 94%)" append-to-body>
    <p>{{ say('leave.waits', { n: outbox.waiting.length + outbox.refused.length }) }}</p>
    <p class="ways">
      <el-button type="primary" size="large" @click="account.signOut">{{ say('frame.sign_out') }}</el-button>
      <TextButton @click="isOpen = false">{{ say('leave.stay') }}</TextButton>
    </p>
  </el-dialog>
</template>

<style scoped>
.ways {
  display: flex;
  gap: var(--space-7);
  align-items: baseline;
  margin-top: var(--space-6);
}
</style>
