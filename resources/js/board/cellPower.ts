import type { Cell } from '@/api/client';
import { promised } from '@/ui/figures';

/** The kW that a cell of the board promises, in words. */
export const told = (cell: Cell | undefined): string => promised(cell);
