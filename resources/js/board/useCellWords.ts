import type { Cell } from '@/api/client';
import { useGarage } from '@/stores/garage';
import { kw, ranged } from '@/ui/figures';
import { listed, say } from '@/words/say';
import { told } from './cellPower';

/** Whether its power is approximate, with a range that the cell shows. */
const isSpread = (cell: Cell): boolean =>
  cell.band_kw !== null &&
  !cell.at_most &&
  cell.expected_peak_kw !== null &&
  ranged(cell) !== kw(cell.expected_peak_kw);

/** What it comes to; to be checked first, it says between what the kW lie, as the cell does. */
function alone(cell: Cell): string {
  if (cell.flows === 'yes') {
    return isSpread(cell)
      ? say('board.cell_about', { outcome: cell.title, kw: kw(cell.expected_peak_kw), range: ranged(cell) })
      : say('board.cell_flows', { outcome: cell.title, kw: told(cell) });
  }
  return cell.flows === 'maybe' && cell.band_kw && !cell.at_most
    ? say('board.cell_check', { outcome: cell.title, kw: ranged(cell) })
    : cell.title;
}

/** A cell of the board as a sentence. */
export function useCellWords() {
  const garage = useGarage();

  return (cell: Cell | undefined, car: string, outlet: string): string => {
    if (!cell) {
      return say('board.cell_unknown');
    }
    const answer = alone(cell);
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
