<script setup lang="ts">
import { ref } from 'vue';
import { say } from '@/words/say';
import WhyPanel from './WhyPanel.vue';

/** Why, over the board of a narrow screen. */
const isOpen = defineModel<boolean>({ required: true });
const emit = defineEmits<{ back: [] }>();
const panel = ref<InstanceType<typeof WhyPanel>>();
defineExpose({ focus: () => panel.value?.focus() });
</script>

<template>
  <el-drawer v-model="isOpen" direction="btt" size="82%" :title="say('why.title')">
    <WhyPanel ref="panel" @back="emit('back')" />
  </el-drawer>
</template>
