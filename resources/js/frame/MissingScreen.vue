<script setup lang="ts">
import EmptyState from '@/ui/EmptyState.vue';
import Said from '@/words/Said.vue';
import { say } from '@/words/say';
</script>

<template>
  <EmptyState :title="say('frame.missing')">
    <p>
      <Said code="frame.missing_why">
        <template #board
          ><RouterLink to="/board">{{ say('frame.go_to_board') }}</RouterLink></template
        >
      </Said>
    </p>
  </EmptyState>
</template>
