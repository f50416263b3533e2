import { defineStore } from 'pinia';
import { api, ask } from '@/api/client';
import { differences, same } from '@/api/differences';
import { valueAt } from '@/api/dotted';
import { say } from '@/words/say';
import type { components } from '@/api/schema';
import { useAccount } from './account';
import { useUndo } from './undo';
import { useBoard } from './board';
import { useGarage } from './garage';
import { useRail } from './rail';

export type PieceKind = 'vehicles' | 'adapters' | 'outlets' | 'places' | 'networks' | 'tours' | 'wishes';

/** A piece as it is written: its name, and its plate in the words of the case file. */
export interface Draft {
  name: string;
  blurb?: string;
  tag?: string;
  place?: string;
  spec?: Record<string, unknown>;
}

/** A piece of the garage as it would be written, and the version it was read in. */
/** What a standard says of a fact of a plate: that it is fixed without being read, or that what was entered contradicts it. */
export type StandardLine = components['schemas']['StandardLine'];

export interface Found {
  kind: PieceKind;
  id: string;
  version: number;
  draft: Draft;
}

/** What of a piece was changed: its own fields, and the figures of its plate by path. */
function changed(before: Draft, after: Draft): Partial<Draft> & { changes?: Record<string, unknown> } {
  const own = (['name', 'blurb', 'tag', 'place'] as const).filter((key) => !same(before[key], after[key]));
  const changes = differences(before.spec ?? {}, after.spec ?? {});
  return {
    ...Object.fromEntries(own.map((key) => [key, after[key] ?? ''])),
    ...(Object.keys(changes).length > 0 ? { changes } : {}),
  };
}

/** What a plate has at these paths; null where it has nothing. */
const valuesAt = (spec: Draft['spec'], paths: string[]) =>
  Object.fromEntries(paths.map((path) => [path, valueAt(spec, path) ?? null]));

/** Writes pieces of the garage, and has every answer computed again. */
export const useEdit = defineStore('edit', () => {
  const account = useAccount();
  const garage = useGarage();
  const board = useBoard();
  const rail = useRail();
  const undo = useUndo();

  async function refresh(): Promise<void> {
    await garage.reload();
    await Promise.all([board.load(), rail.refresh()]);
  }

  const at = (kind: PieceKind, piece: string) => ({ params: { path: { kind, piece } } });

  async function put(kind: PieceKind, id: string, version: number, before: Draft, after: Draft): Promise<number> {
    const body = { version, ...changed(before, after) };
    const kept = await ask(api.PUT('/pieces/{kind}/{piece}', { ...at(kind, id), body }));
    await refresh();
    return kept.version;
  }

  /** Writes what is different from what was found, and nothing else; an ApiError 409 or 410 tells what is there now. */
  async function change(found: Found, next: Draft): Promise<void> {
    const version = await undo.during(() => put(found.kind, found.id, found.version, found.draft, next));
    // Back from what stands there now: the server has written down since when what was typed is known.
    const now = find(found.id)?.draft ?? next;
    undo.done(say('kit.changed', { name: next.name }), async () => {
      await put(found.kind, found.id, version, now, found.draft);
    });
  }

  /** The same figures on several plates, all of them or none; taken back the same way. `label` names them. */
  async function changeSeveral(
    kind: PieceKind,
    ids: string[],
    changes: Record<string, unknown>,
    label: string,
  ): Promise<void> {
    const before = ids.flatMap((id) => find(id) ?? []);
    const at = { params: { path: { kind } } };
    const pieces = before.map(({ id, version }) => ({ id, version, changes }));
    const kept = await undo.during(() => ask(api.PUT('/pieces/{kind}', { ...at, body: { pieces } })));
    const versions = new Map(kept.pieces.map((p) => [p.id, p.version]));
    await refresh();
    undo.done(say('several.written', { figure: label, n: ids.length }), async () => {
      const back = before.map(({ id, draft }) => ({
        id,
        version: versions.get(id) ?? 1,
        changes: { ...valuesAt(draft.spec, Object.keys(changes)), origins: draft.spec?.origins ?? null },
      }));
      await ask(api.PUT('/pieces/{kind}', { ...at, body: { pieces: back } }));
      await refresh();
    });
  }

  /** Restores a deleted piece and returns its version. */
  async function restore(kind: PieceKind, id: string): Promise<number> {
    const { version } = await ask(api.POST('/pieces/{kind}/{piece}/restore', at(kind, id)));
    await refresh();
    return version;
  }

  async function create(kind: PieceKind, draft: Draft): Promise<string> {
    const body = { params: { path: { kind } }, body: draft };
    const { id } = await undo.during(() => ask(api.POST('/pieces/{kind}', body)));
    return added(kind, id, draft.name);
  }

  /** A second place with the same chargers. */
  async function copyPlace(place: string, name: string): Promise<string> {
    const body = { params: { path: { place } }, body: { name } };
    const { id } = await undo.during(() => ask(api.POST('/places/{place}/copy', body)));
    return added('places', id, name);
  }

  /** A wish becomes an owned adapter; taken back as one. */
  async function buy(wish: string, name: string, tag: string): Promise<void> {
    const params = { path: { wish } };
    const { id } = await undo.during(() => ask(api.POST('/wishes/{wish}/buy', { params, body: { tag } })));
    await refresh();
    if (account.may('keep')) {
      undo.done(say('kit.added', { name }), async () => {
        await ask(api.DELETE('/pieces/{kind}/{piece}', at('adapters', id)));
        await ask(api.POST('/pieces/{kind}/{piece}/restore', at('wishes', wish)));
        await refresh();
      });
    }
  }

  async function added(kind: PieceKind, id: string, name: string): Promise<string> {
    await refresh();
    // People who may not delete anything have no undo here.
    if (!account.may('keep')) {
      return id;
    }
    undo.done(say('kit.added', { name }), async () => {
      await ask(api.DELETE('/pieces/{kind}/{piece}', at(kind, id)));
      await refresh();
    });
    return id;
  }

  async function remove(kind: PieceKind, id: string, name: string): Promise<void> {
    await undo.during(() => ask(api.DELETE('/pieces/{kind}/{piece}', at(kind, id))));
    await refresh();
    undo.done(say('kit.removed', { name }), async () => {
      await ask(api.POST('/pieces/{kind}/{piece}/restore', at(kind, id)));
      await refresh();
    });
  }

  /** Whether a draft could be kept; and what standards say of its plate, by path. */
  async function check(kind: PieceKind, draft: Draft): Promise<Record<string, StandardLine>> {
    const { by_standard } = await ask(api.POST('/pieces/{kind}/check', { params: { path: { kind } }, body: draft }));
    return Object.fromEntries(by_standard.map((line) => [line.path, line]));
  }

  /** A piece of the garage by id. */
  function find(id: string): Found | null {
    const copy = (spec: object) => JSON.parse(JSON.stringify(spec)) as Record<string, unknown>;
    const vehicle = garage.vehicle(id);
    if (vehicle) {
      const { version, name, blurb, spec } = vehicle;
      return { kind: 'vehicles', id, version, draft: { name, blurb, spec: copy(spec) } };
    }
    const adapter = garage.adapter(id);
    if (adapter) {
      const { version, name, blurb, tag, spec } = adapter;
      return { kind: 'adapters', id, version, draft: { name, blurb, tag, spec: copy(spec) } };
    }
    const wish = garage.wishes.find((w) => w.id === id);
    if (wish) {
      const { version, name, blurb, spec } = wish;
      return { kind: 'wishes', id, version, draft: { name, blurb, spec: copy(spec) } };
    }
    const plain = garage.networks.find((n) => n.id === id) ?? garage.tours.find((t) => t.id === id);
    if (plain) {
      const { version, name, blurb, spec } = plain;
      const kind = garage.networks.some((n) => n.id === id) ? 'networks' : 'tours';
      return { kind, id, version, draft: { name, blurb, spec: copy(spec) } };
    }
    const own = garage.places.find((p) => p.id === id);
    if (own) {
      return { kind: 'places', id, version: own.version, draft: { name: own.name } };
    }
    const outlet = garage.outlet(id);
    const place = garage.places.find((p) => p.outlets.some((o) => o.id === id));
    if (!outlet || !place) {
      return null;
    }
    const { version, name, blurb, spec } = outlet;
    return { kind: 'outlets', id, version, draft: { name, blurb, place: place.id, spec: copy(spec) } };
  }

  return { change, changeSeveral, restore, create, buy, copyPlace, remove, check, refresh, find };
});
