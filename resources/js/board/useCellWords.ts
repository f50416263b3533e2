import type { Cell } from '@/api/client';
import { useGarage } from '@/stores/garage';
import { listed, say } from '@/words/say';
import { told } from './told';

/** A cell of the board as a sentence. */
export function useCellWords() {
  const garage = useGarage();

  return (cell: Cell | undefined, car: string, outlet: string): string => {
    if (!cell) {
      return say('board.cell_unknown');
    }
    const answer = cell.flows === 'yes' ? say('board.cell_flows', { outcome: cell.title, kw: told(cell) }) : cell.title;
    const through =
      cell.adapters.length > 0
        ? say('board.cell_through', { answer, adapters: listed('and', cell.adapters.map(garage.tag)) })
        : answer;
    return say('board.cell', {
      car,
      outlet,
      answer: cell.other_way_is_hazard ? say('board.cell_other_hazard', { answer: through }) : through,
    });
  };
}
