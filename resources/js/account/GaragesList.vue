<script setup lang="ts">
import { ref } from 'vue';
import { api, ask } from '@/api/client';
import { useAccount } from '@/stores/account';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';
import Said from '@/words/Said.vue';
import GarageFields from './GarageFields.vue';
import MoveGarage from './MoveGarage.vue';
import { suggested } from './newGarage';

/** The person's garages: switch between them, create one, delete the open one. */
const account = useAccount();
const { isBusy, error, attempt } = useAttempt();
const isMaking = ref(false);
const isEnding = ref(false);
const fresh = ref(suggested());
const typed = ref('');
const name = ref(account.me?.garage?.name ?? '');

const go = (garage: string) =>
  attempt(() => account.stand(ask(api.PUT('/garages/{garage}/stand', { params: { path: { garage } } }))));
const found = () => attempt(() => account.stand(ask(api.POST('/garages', { body: fresh.value }))));
const rename = () => attempt(() => account.come(ask(api.PUT('/garage', { body: { name: name.value } }))));
const end = () => attempt(() => account.stand(ask(api.DELETE('/garage', { body: { name: typed.value } }))));
</script>

<template>
  <section aria-labelledby="garages-title">
    <h2 id="garages-title">{{ say('garages.title') }}</h2>
    <p v-if="error" class="complaint" role="alert">{{ error }}</p>
    <ul class="lines">
      <li v-for="garage in account.me?.garages" :key="garage.id">
        <div>
          <strong>{{ garage.name }}</strong>
          <span class="quiet">{{ garage.role_words }}</span>
        </div>
        <span v-if="garage.id === account.me?.garage?.id" class="quiet">{{ say('garages.here') }}</span>
        <TextButton v-else :disabled="isBusy" @click="go(garage.id)">
          {{ say('garages.go', { garage: garage.name }) }}
        </TextButton>
      </li>
    </ul>
    <form v-if="account.may('keep')" class="line" @submit.prevent="rename">
      <label for="garage-rename">{{ say('garages.rename') }}</label>
      <el-input id="garage-rename" v-model="name" required maxlength="120" />
      <el-button native-type="submit" :disabled="isBusy || name === account.me?.garage?.name">{{
        say('you.save')
      }}</el-button>
    </form>
    <TextButton v-if="!isMaking" @click="isMaking = true">
      {{ say('garages.another') }}
    </TextButton>
    <form v-else class="fields" @submit.prevent="found">
      <GarageFields v-model="fresh" />
      <div class="line">
        <el-button type="primary" native-type="submit" :loading="isBusy">{{ say('garages.found') }}</el-button>
        <TextButton @click="isMaking = false">{{ say('garages.not') }}</TextButton>
      </div>
    </form>
    <MoveGarage />
    <template v-if="account.may('keep')">
      <h3>{{ say('end.garage') }}</h3>
      <p class="quiet">
        <Said code="end.garage_how">
          <template #file
            ><a href="/api/garage/export" download>{{ say('move.file') }}</a></template
          >
        </Said>
      </p>
      <TextButton v-if="!isEnding" @click="isEnding = true">
        {{ say('end.garage') }}
      </TextButton>
      <form v-else class="fields" @submit.prevent="end">
        <label for="end-garage">{{ say('end.garage_name', { garage: account.me?.garage?.name ?? '' }) }}</label>
        <el-input id="end-garage" v-model="typed" autocomplete="off" required />
        <div class="line">
          <el-button type="danger" native-type="submit" :loading="isBusy">{{ say('end.garage_now') }}</el-button>
          <TextButton @click="isEnding = false">{{ say('end.keep') }}</TextButton>
        </div>
      </form>
    </template>
  </section>
</template>

<style scoped>
.line {
  display: flex;
  gap: var(--space-4) var(--space-6);
  align-items: center;
  margin: var(--space-3) 0 var(--space-6);
}

.line label,
.line .el-button {
  flex: none;
}

.line label {
  font-weight: 600;
}

section {
  margin-top: var(--space-9);
}

.fields {
  display: flex;
  flex-direction: column;
  gap: var(--space-3);
  max-width: 30em;
}

@media (width <= 720px) {
  .line {
    flex-wrap: wrap;
  }
}
</style>
