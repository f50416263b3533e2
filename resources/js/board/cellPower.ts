import type { Cell } from '@/api/client';
import { promised } from '@/ui/figures';

/** The power of a board cell, in words. */
export const told = (cell: Cell | undefined): string => promised(cell);
