import { inject, provide, type InjectionKey } from 'vue';
import type { Draft, PieceKind } from '@/stores/edit';

/** What every subject of Kit can do with a piece. */
export interface KitActions {
  open(id: string): void;
  begin(kind: PieceKind, draft: Draft, read?: string[]): void;
  copy(id: string): Promise<void>;
  remove(kind: PieceKind, id: string, name: string): Promise<void>;
  /** Sets some figures of a plate by path. */
  set(id: string, figures: Record<string, unknown>): Promise<void>;
  freeTag(): string;
  choice(kind: PieceKind, id: string): { isChosen: boolean; isOpen: boolean } | undefined;
  choose(kind: PieceKind, id: string, isChosen: boolean): void;
}

const KEY: InjectionKey<KitActions> = Symbol('kit');

export const provideKitActions = (actions: KitActions): void => provide(KEY, actions);

export function useKitActions(): KitActions {
  const actions = inject(KEY);
  if (!actions) {
    throw new Error('kit-not-provided');
  }
  return actions;
}
