import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { api, ask, type LogMemory, type Trust } from '@/api/client';

/** What the log adds up to: trust in adapters, memory of stalls, learned curves, how good our forecasts were. */
export const useExperience = defineStore('experience', () => {
  const trust = ref<Trust[]>([]);
  const memory = ref<LogMemory | null>(null);

  /** Asked for beside what is shown: without it nothing is missing but these lines. */
  async function loadMemory(): Promise<void> {
    memory.value = await ask(api.GET('/memory')).catch(() => memory.value);
  }

  /** What the board marks. */
  async function loadStalls(): Promise<void> {
    memory.value ??= await ask(api.GET('/memory', { params: { query: { part: 'stalls' } } })).catch(() => null);
  }

  async function loadTrust(): Promise<void> {
    const answer = await ask(api.GET('/trust')).catch(() => null);
    trust.value = answer?.adapters ?? trust.value;
  }

  const trouble = computed(() => {
    const by = new Map<string, string[]>();
    for (const stall of memory.value?.stalls ?? []) {
      if (stall.trouble.length > 0) {
        by.set(stall.outlet, [...(by.get(stall.outlet) ?? []), ...stall.trouble]);
      }
    }
    return by;
  });

  const trustIn = (adapter: string) => trust.value.find((t) => t.adapter === adapter);
  const stallsOf = (outlet: string) => memory.value?.stalls.filter((s) => s.outlet === outlet) ?? [];
  const troubleAt = (outlet: string) => trouble.value.get(outlet) ?? [];
  const gradeOf = (vehicle: string) => memory.value?.grades.vehicles.find((g) => g.id === vehicle);
  const learnedOf = (vehicle: string) => memory.value?.learned.find((l) => l.vehicle === vehicle);

  return { trust, memory, loadMemory, loadStalls, loadTrust, trustIn, stallsOf, troubleAt, gradeOf, learnedOf };
});
