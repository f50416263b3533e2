<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { api, ask } from '@/api/client';
import type { components } from '@/api/schema';
import { useAccount } from '@/stores/account';
import { day, hour } from '@/ui/figures';
import { useAttempt } from '@/ui/useAttempt';
import TextButton from '@/ui/TextButton.vue';
import { say } from '@/words/say';

type Device = components['schemas']['Devices']['devices'][number];

/** The browsers in which the person is signed in. */
const account = useAccount();
const devices = ref<Device[]>([]);
const { isBusy, error, attempt } = useAttempt();

const load = () =>
  attempt(async () => {
    devices.value = (await ask(api.GET('/me/devices'))).devices;
  });

async function signOut(device: Device): Promise<void> {
  await attempt(async () => {
    await ask(api.DELETE('/me/devices/{device}', { params: { path: { device: device.id } } }));
  });
  await load();
}

onMounted(load);
defineExpose({ load });
</script>

<template>
  <h3>{{ say('devices.title') }}</h3>
  <p v-if="error" class="complaint" role="alert">{{ error }}</p>
  <ul class="lines">
    <li v-for="device in devices" :key="device.id">
      <div>
        <strong>{{ device.address }}</strong>
        <span class="quiet">
          {{
            say('devices.seen', {
              day: day(device.last_seen, account.zone),
              hour: hour(device.last_seen, account.zone),
            })
          }}
        </span>
        <details v-if="device.agent" class="quiet">
          <summary>{{ say('devices.agent') }}</summary>
          {{ device.agent }}
        </details>
      </div>
      <span v-if="device.is_here" class="quiet">{{ say('devices.here') }}</span>
      <TextButton v-else :disabled="isBusy" @click="signOut(device)">
        {{ say('devices.sign_out') }}
      </TextButton>
    </li>
  </ul>
</template>

<style scoped>
details {
  flex-basis: 100%;
  font-size: var(--size-small);
  overflow-wrap: anywhere;
}

summary {
  min-height: 24px;
}
</style>
