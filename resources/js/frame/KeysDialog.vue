<script setup lang="ts">
const isOpen = defineModel<boolean>({ required: true });

const keys: [string, string][] = [
  ['1 … 6', 'go to a stage'],
  ['← ↑ ↓ →', 'move on the board'],
  ['← →', 'on the curve of a forecast: move the cursor, with Shift in strides'],
  ['Enter', 'on the board: choose the cell and open Why'],
  ['n', 'go to Connect, for a new session'],
  ['Space', 'in a session: take the reading'],
  ['u', 'undo the last thing done'],
  ['?', 'show or hide these keys'],
  ['Esc', 'close what is open'],
];
</script>

<template>
  <el-dialog v-model="isOpen" title="Keys" width="440px">
    <dl>
      <template v-for="[key, meaning] in keys" :key="key">
        <dt>
          <kbd>{{ key }}</kbd>
        </dt>
        <dd>{{ meaning }}</dd>
      </template>
    </dl>
  </el-dialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 96px 1fr;
  gap: 9px 12px;
  margin: 0;
}

dd {
  margin: 0;
}

kbd {
  font-family: var(--face-wide);
  font-weight: 650;
}
</style>
