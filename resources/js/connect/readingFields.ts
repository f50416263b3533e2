import { useLocalStorage } from '@vueuse/core';
import { computed } from 'vue';
import { own } from '@/stores/own';
import { useTerms } from '@/stores/terms';
import { useUnits } from '@/stores/units';
import { say } from '@/words/say';
import { points, type HeatField } from './points';

export type FieldName = 'soc_pct' | 'volts' | 'amps' | 'kw' | HeatField;

export interface ReadingField {
  name: FieldName;
  label: string;
  /** As it stands on its key. */
  key: string;
  unit: string;
  isHeat: boolean;
}

const SCREEN: FieldName[] = ['soc_pct', 'volts', 'amps', 'kw'];
/** The values that can be read next to the car, and the ones this driver uses, in their order. */
export function useReadingFields() {
  const terms = useTerms();
  const { entry } = useUnits();
  /** The fields of the last readings, in the order they were typed. */
  const habit = useLocalStorage<FieldName[]>(own('reads'), []);

  const screen: ReadingField[] = [
    {
      name: 'soc_pct',
      label: say('reading.charge'),
      key: say('unit.percent'),
      unit: say('unit.percent'),
      isHeat: false,
    },
    { name: 'volts', label: say('reading.volts'), key: say('unit.volts'), unit: say('unit.volts'), isHeat: false },
    { name: 'amps', label: say('reading.amps'), key: say('unit.amps'), unit: say('unit.amps'), isHeat: false },
    { name: 'kw', label: say('reading.power'), key: say('unit.kw'), unit: say('unit.kw'), isHeat: false },
  ];
  const heat = computed<ReadingField[]>(() =>
    points().map((point) => ({
      name: `${point}_c` as const,
      label: terms.title('point', point),
      key: terms.words('point', point),
      unit: entry('celsius').unit,
      isHeat: true,
    })),
  );
  const readsHeat = computed(() => habit.value.some((f) => !SCREEN.includes(f)));
  const first = computed<FieldName>(() => habit.value[0] ?? 'soc_pct');

  /** The one that usually comes next. */
  const after = (name: FieldName): FieldName | null => habit.value[habit.value.indexOf(name) + 1] ?? null;

  return { screen, heat, habit, readsHeat, first, after, celsius: computed(() => entry('celsius')) };
}
