<script setup lang="ts">
import { say } from '@/words/say';
import IdentifyKey from './IdentifyKey.vue';

/** Leads from the look of a plug to its row. `closed` fires once the dialog is gone and its button has the focus again. */
const isOpen = defineModel<boolean>({ required: true });
const emit = defineEmits<{ found: [outletId: string | null]; closed: [] }>();
</script>

<template>
  <el-dialog
    v-model="isOpen"
    :title="say('board.what_plug')"
    width="min(720px, 94%)"
    destroy-on-close
    @closed="emit('closed')"
  >
    <IdentifyKey @found="(id: string | null) => emit('found', id)" />
  </el-dialog>
</template>
