import { defineStore } from 'pinia';
import { api, ask } from '@/api/client';
import { say } from '@/words/say';
import { useUndo } from './undo';
import { useBoard } from './board';
import { useGarage } from './garage';
import { useRail } from './rail';

export type PieceKind = 'vehicles' | 'adapters' | 'outlets' | 'places';

/** A piece as it is written: its name, and its plate in the words of the case file. */
export interface Draft {
  name: string;
  blurb?: string;
  tag?: string;
  place?: string;
  spec?: Record<string, unknown>;
}

/** Writes pieces of the garage, and has every answer worked out anew. */
export const useEdit = defineStore('edit', () => {
  const garage = useGarage();
  const board = useBoard();
  const rail = useRail();
  const undo = useUndo();

  async function refresh(): Promise<void> {
    await garage.reload();
    await Promise.all([board.load(), rail.refresh()]);
  }

  const at = (kind: PieceKind, piece: string) => ({ params: { path: { kind, piece } } });

  async function replace(kind: PieceKind, id: string, next: Draft, before: Draft): Promise<void> {
    await ask(api.PUT('/pieces/{kind}/{piece}', { ...at(kind, id), body: next }));
    await refresh();
    undo.done(say('kit.changed', { name: next.name }), async () => {
      await ask(api.PUT('/pieces/{kind}/{piece}', { ...at(kind, id), body: before }));
      await refresh();
    });
  }

  async function create(kind: PieceKind, draft: Draft): Promise<string> {
    const { id } = await ask(api.POST('/pieces/{kind}', { params: { path: { kind } }, body: draft }));
    await refresh();
    undo.done(say('kit.added', { name: draft.name }), async () => {
      await ask(api.DELETE('/pieces/{kind}/{piece}', at(kind, id)));
      await refresh();
    });
    return id;
  }

  async function remove(kind: PieceKind, id: string, name: string): Promise<void> {
    await ask(api.DELETE('/pieces/{kind}/{piece}', at(kind, id)));
    await refresh();
    undo.done(say('kit.removed', { name }), async () => {
      await ask(api.POST('/pieces/{kind}/{piece}/restore', at(kind, id)));
      await refresh();
    });
  }

  async function check(kind: PieceKind, draft: Draft): Promise<void> {
    await ask(api.POST('/pieces/{kind}/check', { params: { path: { kind } }, body: draft }));
  }

  /** A piece of the garage by id, as it would be written. */
  function draftOf(id: string): { kind: PieceKind; draft: Draft } | null {
    const copy = (spec: object) => JSON.parse(JSON.stringify(spec)) as Record<string, unknown>;
    const vehicle = garage.vehicle(id);
    if (vehicle) {
      return { kind: 'vehicles', draft: { name: vehicle.name, blurb: vehicle.blurb, spec: copy(vehicle.spec) } };
    }
    const adapter = garage.adapter(id);
    if (adapter) {
      const { name, blurb, tag, spec } = adapter;
      return { kind: 'adapters', draft: { name, blurb, tag, spec: copy(spec) } };
    }
    const own = garage.places.find((p) => p.id === id);
    if (own) {
      return { kind: 'places', draft: { name: own.name } };
    }
    const outlet = garage.outlet(id);
    const place = garage.places.find((p) => p.outlets.some((o) => o.id === id));
    return outlet && place
      ? { kind: 'outlets', draft: { name: outlet.name, blurb: outlet.blurb, place: place.id, spec: copy(outlet.spec) } }
      : null;
  }

  return { replace, create, remove, check, refresh, draftOf };
});
