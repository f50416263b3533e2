import type { Field } from '@/plates/fields';
import { say } from '@/words/say';
import type { CarQuestion } from './useNewCar';

const number = (path: string, label: string, unit: string): Field => ({ path, label, kind: 'number', unit });

/** Figures that can be typed instead of choosing an answer. */
export function figures(question: CarQuestion): Field[] {
  switch (question) {
    case 'pack':
      return [number('pack_nominal_v', say('field.nominal_v'), say('unit.volts'))];
    case 'energy':
      return [number('usable_kwh', say('field.usable'), say('unit.kwh'))];
    case 'peak':
      return [
        { ...number('peak_kw', say('new_car.peak_kw'), say('unit.kw')), kind: 'watts' },
        number('inlet_max_v', say('new_car.inlet_max_v'), say('unit.volts')),
      ];
    case 'onboard':
      return [
        { ...number('kw', say('new_car.other_kw'), say('unit.kw')), kind: 'watts' },
        number('min_v', say('new_car.label_from'), say('unit.volts')),
        number('max_v', say('new_car.label_to'), say('unit.volts')),
      ];
    default:
      return [];
  }
}
