<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { api, ask } from '@/api/client';
import type { components } from '@/api/schema';
import { useAccount } from '@/stores/account';
import { day, hour } from '@/ui/figures';
import { useAttempt } from '@/ui/useAttempt';
import { say } from '@/words/say';

type Device = components['schemas']['Devices']['devices'][number];

/** The browsers one is signed in with. */
const account = useAccount();
const devices = ref<Device[]>([]);
const { isBusy, error, attempt } = useAttempt();
const zone = account.me?.garage?.timezone ?? 'UTC';

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

/** What a browser says of itself, in a few words. */
function plainly({ agent }: Device): string {
  const system = /Android|iPhone|iPad|Windows|Macintosh|Linux/.exec(agent)?.[0] ?? say('devices.unknown');
  const browser = /(Firefox|Edg|Chrome|Safari)\/\d+/.exec(agent)?.[1];
  return browser ? `${browser === 'Edg' ? 'Edge' : browser} · ${system}` : system;
}

onMounted(load);
defineExpose({ load });
</script>

<template>
  <h3>{{ say('devices.title') }}</h3>
  <p v-if="error" class="complaint" role="alert">{{ error }}</p>
  <ul class="devices">
    <li v-for="device in devices" :key="device.id">
      <div>
        <strong>{{ plainly(device) }}</strong>
        <span class="quiet">
          {{
            say('devices.seen', {
              address: device.address,
              day: day(device.last_seen, zone),
              hour: hour(device.last_seen, zone),
            })
          }}
        </span>
      </div>
      <span v-if="device.is_here" class="quiet">{{ say('devices.here') }}</span>
      <button v-else type="button" class="text-button" :disabled="isBusy" @click="signOut(device)">
        {{ say('devices.sign_out') }}
      </button>
    </li>
  </ul>
</template>

<style scoped>
.devices {
  margin: 0;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  gap: 16px;
  align-items: baseline;
  justify-content: space-between;
  padding: 7px 0;
  border-bottom: 1px solid var(--line);
}

li > span,
li button {
  white-space: nowrap;
}

li div {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
}
</style>
