<script setup lang="ts">
import { computed, ref } from 'vue';
import { useTerms } from '@/stores/terms';
import CouplerFace from '@/ui/CouplerFace.vue';
import TextButton from '@/ui/TextButton.vue';
import { say, type Code } from '@/words/say';
import Choice from './Choice.vue';

/** Which face the inlet has, and whether there is a second one. */
const faces = defineModel<string[]>({ required: true });
const emit = defineEmits<{ told: [] }>();

const terms = useTerms();

interface Face {
  id: string;
  title: Code;
}
const usual: Face[] = [
  { id: 'ccs1', title: 'new_car.face_ccs1' },
  { id: 'j3400', title: 'new_car.face_j3400' },
  { id: 'ccs2', title: 'new_car.face_ccs2' },
  { id: 'chademo', title: 'new_car.face_chademo' },
];
const others: Face[] = [
  { id: 'type1', title: 'new_car.face_type1' },
  { id: 'type2', title: 'new_car.face_type2' },
  { id: 'gbt_dc', title: 'new_car.face_gbt_dc' },
  { id: 'gbt_ac', title: 'new_car.face_gbt_ac' },
];
const showsOthers = ref(others.some((f) => faces.value[0] === f.id));
const first = computed(() => faces.value[0]);
/** These stand beside another one in most cars. */
const hasPartner = (id: string) => id === 'chademo' || id === 'gbt_dc';
const showsSecond = ref(faces.value.length > 1);
const seconds = computed(() => ['type1', 'type2', 'gbt_ac', 'chademo', 'gbt_dc'].filter((id) => id !== first.value));

function choose(id: string): void {
  faces.value = [id];
  showsSecond.value = hasPartner(id);
  if (!hasPartner(id)) {
    emit('told');
  }
}

function chooseSecond(id: string | null): void {
  faces.value = [first.value ?? '', ...(id === null ? [] : [id])];
  emit('told');
}
</script>

<template>
  <div class="faces">
    <Choice
      v-for="f in showsOthers ? [...usual, ...others] : usual"
      :key="f.id"
      :title="say(f.title)"
      :hint="terms.coupler(f.id)"
      :is-chosen="first === f.id"
      @choose="choose(f.id)"
    >
      <CouplerFace :coupler="f.id" />
    </Choice>
  </div>
  <p class="more">
    <TextButton v-if="!showsOthers" @click="showsOthers = true">
      {{ say('new_car.another_shape') }}
    </TextButton>
    <TextButton v-if="first && !showsSecond" @click="showsSecond = true">
      {{ say('new_car.second_inlet') }}
    </TextButton>
  </p>
  <fieldset v-if="first && showsSecond">
    <legend>{{ say('new_car.beside_it') }}</legend>
    <div class="chips">
      <Choice
        v-for="id in seconds"
        :key="id"
        :title="terms.coupler(id)"
        :is-chosen="faces[1] === id"
        @choose="chooseSecond(id)"
      />
      <Choice :title="say('new_car.none_beside')" :is-chosen="faces.length === 1" @choose="chooseSecond(null)" />
    </div>
  </fieldset>
</template>

<style scoped>
.faces {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(158px, 1fr));
  gap: var(--space-6);
}

.faces :deep(.face) {
  height: 104px;
  margin: 0 auto var(--space-3);
}

.more {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3) var(--space-8);
  min-height: 32px;
  margin: var(--space-6) 0 0;
}

fieldset {
  margin: var(--space-6) 0 0;
  padding: 0;
  border: 0;
}

legend {
  padding: 0;
  font-weight: 650;
}

.chips {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4);
  margin-top: var(--space-4);
}

@media (width <= 520px) {
  .faces {
    grid-template-columns: 1fr 1fr;
  }

  .faces :deep(.face) {
    height: 76px;
  }
}
</style>
